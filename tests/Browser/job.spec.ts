import {readFileSync} from 'node:fs'
import {expect} from '@playwright/test'
import {drop, html, openInTray, test, zip} from './desk'

test('an instructor drops a zip, inks a finding, writes a note, gives points and releases the reply', async ({
  page,
}) => {
  await openInTray(page, 'Storm drill')
  const pages = Object.fromEntries(
    ['index', 'a', 'b', 'c', 'd'].map(name => [
      `${name}.html`,
      html(`<img src="none.png"><p>${name}</p>`, `Storm drill - ${name}`),
    ]),
  )
  const begun = Date.now()
  const line = await drop(page, zip('cvasey.zip', pages), 'Corin Vasey', /checked, \d+ findings/)
  test.info().annotations.push({
    type: 'time from dropping five pages to their findings',
    description: `${Date.now() - begun} ms`,
  })
  console.log(`five pages dropped and checked after ${Date.now() - begun} ms`)
  await line.getByRole('link', {name: 'Corin Vasey'}).click()

  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await expect(margin.getByText('The picture none.png has no alt text')).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.press('n')
  const source = page.getByRole('textbox', {name: /^Source of/})
  await expect(source.locator('[data-line="8"] sup').first()).toBeVisible()
  await margin.getByText('The picture none.png has no alt text').click()
  await page.keyboard.press('i')
  await expect(page.getByRole('status')).toContainText('Inked, kept at')
  await expect(margin.getByRole('button', {name: 'Inked', exact: true})).toBeVisible()

  const number = (line: number) =>
    page.locator('.cm-lineNumbers .cm-gutterElement').filter({hasText: new RegExp(`^${line}$`)})
  await number(5).click()
  await number(6).click({modifiers: ['Shift']})
  await expect(page.getByRole('textbox', {name: 'Note at lines 5 to 6'})).toBeVisible()
  await page.getByRole('spinbutton', {name: 'to line'}).fill('5')
  await page.getByRole('textbox', {name: 'Note at line 5'}).fill('A title that says *where* we are. Good.')
  await page.reload()
  await expect(page.getByRole('textbox', {name: 'Note at line 5'})).toHaveValue(
    'A title that says *where* we are. Good.',
  )
  await page.getByRole('button', {name: 'merit'}).click()
  await page.getByRole('button', {name: 'Keep'}).click()
  await expect(margin.locator('em')).toHaveText('where')

  await page.getByRole('button', {name: 'Unfold'}).click()
  await page.getByRole('button', {name: 'Give other points'}).first().click()
  await page.getByRole('textbox', {name: 'Points'}).fill('6')
  await page.getByLabel('Reason, for the student').fill('two endings were agreed on')
  await page.getByRole('button', {name: 'Save'}).click()
  await expect(page.getByText('two endings were agreed on')).toBeVisible()

  await page.getByRole('link', {name: 'Reply'}).click()
  const reply = page.getByRole('article')
  await expect(reply).toContainText('The picture none.png has no alt text')
  await expect(reply).toContainText('A title that says where we are.')
  await expect(reply).toContainText('6 of 7')
  await expect(reply).not.toContainText('there is no such file')
  await page.getByRole('button', {name: 'Release'}).click()
  // The look of the pages is not judged yet.
  await page.getByRole('button', {name: 'Release as it is'}).click()
  await expect(page.getByText(/^Released .*, just as it stands here/)).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', {name: 'Released reply as Markdown'}).click(),
  ])
  expect(readFileSync(await file.path(), 'utf8')).toContain(
    '## Well done\n\n- *index.html, Line 5.* A title that says *where* we are. Good.',
  )
})

test('a verdict can be undone, and going back comes back to the same leaf', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Kit Oakhanger'}).click()
  await page.getByRole('navigation', {name: 'Leaves'}).getByRole('link', {name: 'pages/kitchen.html'}).click()
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await expect(margin.getByRole('button', {name: 'Rub out'})).toHaveCount(1)
  await margin.getByRole('button', {name: 'Rub out'}).click()
  await expect(margin).toContainText('rubbed out')
  await page.getByRole('status').getByRole('button', {name: 'Undo'}).click()
  await expect(margin.getByRole('button', {name: 'Rub out'})).toBeVisible()
  await page.keyboard.press(']')
  await expect(page).toHaveURL(/tides/)
  await page.goBack()
  await expect(
    page.getByRole('navigation', {name: 'Leaves'}).getByRole('link', {name: 'pages/kitchen.html'}),
  ).toHaveAttribute('aria-current', 'page')
})

test('a refused archive says why, and an unmatched one goes to the student who is chosen', async ({page}) => {
  await openInTray(page, 'Island almanac')
  await expect(page.getByText('"hpenhale.zip" is not a zip archive')).toBeVisible()
  await expect(page.getByText('imre quilfeather website.zip')).toBeVisible()
  await page.getByRole('button', {name: 'It is theirs'}).click()
  await expect(
    page
      .getByRole('listitem')
      .filter({hasText: 'imre quilfeather website.zip'})
      .getByText(/checked/),
  ).toBeVisible({timeout: 20_000})
})

test('whoever is logged out is brought back to where they were', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Storm drill'}).click()
  await expect(page.getByRole('heading', {name: 'The brief'})).toBeVisible()
  const place = page.url()
  await page.context().clearCookies()
  await page.reload()
  await expect(page).toHaveURL(/log-in\?to=/)
  await page.getByLabel('E-mail').fill('rowan@wrenquay.invalid')
  await page.getByLabel('Password').fill('paper-and-ink')
  await page.getByRole('button', {name: 'Log in'}).click()
  await expect(page).toHaveURL(place)
})

test('fifty keys without a pause, and a view chosen at once after a leaf, lose nothing', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Kit Oakhanger'}).click()
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await expect(margin).toBeVisible()
  const answer = await page.request.get(`/api${new URL(page.url()).pathname}`)
  const {tallies} = (await answer.json()) as {tallies: {pencilled: number; inked: number; rubbedOut: number}[]}
  const count = tallies.reduce((sum, one) => sum + one.pencilled + one.inked + one.rubbedOut, 0)
  expect(count).toBeGreaterThan(1)

  await page.keyboard.press('n')
  await expect(page).toHaveURL(/mark=/)
  const mark = () => new URL(page.url()).searchParams.get('mark')
  const first = mark()
  for (let key = 0; key < 50; key++) void page.keyboard.press('n')
  await page.keyboard.press('m')
  await page.getByRole('button', {name: 'Discard'}).click()
  // Fifty steps on a ring of marks, and as many back as are over.
  for (let key = 0; key < 50 % count; key++) await page.keyboard.press('b')
  await expect.poll(mark).toBe(first)

  const leaves = page.getByRole('navigation', {name: 'Leaves'})
  await leaves.getByRole('link', {name: 'The whole hand-in'}).click()
  await page.keyboard.press('2')
  await page.keyboard.press('1')
  await expect(leaves.getByRole('link', {name: 'The whole hand-in'})).toHaveAttribute('aria-current', 'page')
  await expect(page.getByRole('tab', {name: 'Source'})).toHaveAttribute('aria-selected', 'true')
})

test('a line is chosen with the arrow keys, and a note is written there without the mouse', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Kit Oakhanger'}).click()
  const source = page.getByRole('textbox', {name: /^Source of/})
  await source.focus()
  for (let line = 0; line < 4; line++) await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowUp')
  await expect(page).toHaveURL(/line=3/)
  await page.keyboard.press('m')
  await expect(page.getByRole('textbox', {name: 'Note at line 3'})).toBeFocused()
  await page.keyboard.press('Escape')
})

test('the views of the sheet are tabs that the arrow keys go through', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Kit Oakhanger'}).click()
  await page.getByRole('tab', {name: 'Source'}).focus()
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'Enter']) await page.keyboard.press(key)
  const panel = page.getByRole('tabpanel', {name: 'Page map'})
  await expect(panel.getByRole('group', {name: 'Page map'})).toBeVisible()
})

test('a page of thousands of lines and marks draws what is seen of it, and shows ink at once', async ({page}) => {
  const items = Array.from({length: 2600}, (_, number) => `<img src="${number}.png">\n<p>${number}</p>`).join('\n')
  await openInTray(page, 'Storm drill')
  const line = await drop(
    page,
    zip('glindqvay.zip', {'index.html': html(items)}),
    'Greta Lindqvay',
    /checked, \d{3} findings/,
  )
  await line.getByRole('link', {name: 'Greta Lindqvay'}).click()
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await expect(margin.getByRole('button', {name: 'Ink', exact: true}).first()).toBeVisible()
  expect(await page.locator('.cm-line').count()).toBeLessThan(300)
  expect(await margin.locator('[data-item]').count()).toBeLessThan(100)

  await page.keyboard.press('b')
  await expect(page).toHaveURL(/mark=/)
  const [mark, at] = ['mark', 'line'].map(name => new URL(page.url()).searchParams.get(name) ?? '')
  const chosen = margin.locator(`[data-item="${mark}"]`)
  await expect(chosen).toBeInViewport()
  await expect(page.locator(`.cm-line[data-line="${at}"]`)).toBeInViewport()
  await page.keyboard.press('i')
  await expect(chosen.getByRole('button', {name: 'Inked', exact: true})).toBeVisible()
})

test('several verdicts are taken back one by one, the last first', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Kit Oakhanger'}).click()
  await page.getByRole('navigation', {name: 'Leaves'}).getByRole('link', {name: 'pages/kitchen.html'}).click()
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await margin.getByRole('button', {name: 'Ink', exact: true}).first().click()
  const inked = margin.getByRole('button', {name: 'Inked', exact: true})
  await expect(page.getByRole('status')).toContainText('Inked, kept at')
  await margin.getByRole('button', {name: 'Inked', exact: true}).click()
  await expect(page.getByRole('status')).toContainText('Back in pencil')
  await page.keyboard.press('u')
  await expect(inked).toBeVisible()
  await page.keyboard.press('u')
  await expect(inked).toHaveCount(0)
})
