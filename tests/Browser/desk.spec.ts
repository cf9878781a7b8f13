import {expect, type BrowserContext, type Page} from '@playwright/test'
import {broken} from './axe'
import {html, openDesk, test, zip} from './desk'

const SITE = {
  'index.html': html(
    '<h1>Round</h1>\n<img src="a.png">\n<img src="b.png">\n<img src="a.png">\n<p titel="left">x</p>\n<a href="two.html">two</a>',
  ),
  'two.html': html('<h1>Two</h1>\n<img src="a.png">\n<a href="index.html">home</a>'),
  'a.png': 'x',
  'b.png': 'x',
}

test('a hand-in from opening to the released reply, with the keyboard alone', async ({page}) => {
  await openDesk(page, SITE)
  const foot = page.getByRole('contentinfo').getByRole('status')
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  // To the first of the missing alt texts, and all of them in the site at once.
  for (let at = 0; at < 12 && (await margin.getByText('Missing alt text', {exact: true}).count()) === 0; at++) {
    const before = page.url()
    await page.keyboard.press('n')
    await expect(page).not.toHaveURL(before)
  }
  await expect(page.getByText('2 more like it')).toBeVisible()
  await page.keyboard.press('a')
  const all = page.getByRole('region', {name: 'All like it'})
  await expect(all.getByText('in this site: 4 in pencil')).toBeVisible()
  expect(await broken(page), 'all like it').toEqual([])
  await page.getByRole('radio', {name: /in this site/}).focus()
  await page.keyboard.press('Space')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(foot).toContainText('Inked 4 in the site')
  await expect(margin.getByRole('button', {name: 'Inked', exact: true}).first()).toBeVisible()
  await page.keyboard.press('u')
  await expect(margin.getByRole('button', {name: 'Inked', exact: true})).toHaveCount(0)
  await page.keyboard.press('a')
  await page.getByRole('radio', {name: /in the class/}).focus()
  await page.keyboard.press('Space')
  await page.getByRole('button', {name: /^Ink \d/}).focus()
  await page.keyboard.press('Enter')
  await expect(foot).toContainText('Inked 4 in 1 hand-in')

  // One is rubbed out with a reason, without reaching for it.
  await page.keyboard.press('e')
  await page.keyboard.press('w')
  await page.keyboard.type('said in class')
  await page.keyboard.press('Enter')
  await expect(margin.getByText('rubbed out: said in class.')).toBeVisible()
  await page.keyboard.press('i')
  await expect(margin.getByText('rubbed out')).toHaveCount(0)

  // A question on a line, seen as it will be read.
  await page.keyboard.press('m')
  await page.keyboard.type('Why *this* picture twice?')
  await page.getByRole('button', {name: 'question'}).focus()
  await page.keyboard.press('Space')
  await page.getByRole('button', {name: 'As read'}).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('As it will be read').locator('em')).toHaveText('this')
  await page.getByRole('button', {name: 'Keep'}).focus()
  await page.keyboard.press('Enter')
  await expect(margin.getByText('question, kept at')).toBeVisible()

  // The words around the reply are drafted from the outcomes.
  await page.getByRole('link', {name: 'The whole hand-in'}).focus()
  await page.keyboard.press('Enter')
  await page.getByRole('button', {name: 'Draft the opening words'}).focus()
  await page.keyboard.press('Enter')
  const words = page.getByRole('textbox', {name: 'The opening words of the reply'})
  await expect(words).toHaveValue(/^Abel, /)
  await page.keyboard.press('Control+Enter')
  await expect(margin.getByText('opening words, kept at')).toBeVisible()
  expect(await broken(page), 'the whole hand-in').toEqual([])

  await page.getByRole('button', {name: 'Draft the closing words'}).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', {name: 'The closing words of the reply'})).toBeFocused()
  await page.keyboard.press('Control+Enter')
  await expect(margin.getByText('closing words, kept at')).toBeVisible()
  await page.keyboard.press('y')
  const reply = page.getByRole('article')
  await expect(reply).toContainText('Abel, ')
  await expect(reply).toContainText('A question:Why this picture twice?')
  await expect(reply).toContainText('Start with index.html')
  await page.getByRole('button', {name: 'Release'}).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText(/^Released .*, just as it stands here/)).toBeVisible()
})

test('a page is mended in a copy: checked while it is typed, by one key and by all of a kind, and sent', async ({
  page,
}) => {
  await openDesk(page, SITE)
  await page.getByRole('link', {name: 'index.html', exact: true}).click()
  await page.keyboard.press('4')
  const copy = page.getByRole('textbox', {name: 'Mended copy of index.html'})
  await expect(copy).toBeVisible()
  await expect(page.getByRole('heading', {name: /findings on it$/})).toBeVisible()
  const found = page.getByRole('list', {name: 'What the check says of the copy'})
  const slip = found.getByRole('listitem').filter({hasText: 'titel'})
  await slip.getByRole('button', {name: 'Look first'}).click()
  await expect(slip.locator('del')).toContainText('titel')
  await slip.getByRole('button', {name: 'Mend', exact: true}).click()
  await expect(page.getByRole('heading', {name: /^1 gone, /})).toBeVisible()
  await expect(found.locator('s').filter({hasText: 'titel'})).toBeVisible()
  await expect(copy).not.toContainText('titel')

  // What is typed is checked too, and what comes of it is new.
  await copy.getByText('<h1>Round</h1>').click()
  await page.keyboard.press('End')
  await page.keyboard.type('<b>')
  await expect(found.getByText(/^new,/).first()).toBeVisible()
  await page.keyboard.press('Backspace')
  await page.keyboard.press('Backspace')
  await page.keyboard.press('Backspace')
  await expect(found.getByText(/^new,/)).toHaveCount(0)
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText(/^Kept at/)).toBeVisible()
  await page.getByRole('button', {name: 'As differences'}).click()
  await expect(page.locator('.cm-deletedChunk')).toContainText('titel')
  expect(await broken(page), 'differences').toEqual([])

  // It outlives the tab, and goes into the reply.
  await page.getByLabel('The page to follow for the rest').check()
  await page.reload()
  await expect(page.getByRole('checkbox', {name: 'What differs is in the reply'})).toBeChecked()
  await page.goto(page.url().replace(/\?.*/, '/reply'))
  const reply = page.getByRole('article')
  await expect(reply.getByRole('heading', {name: 'index.html, mended'})).toBeVisible()
  await expect(reply).toContainText('Follow this page when you mend the others.')
  await expect(reply.locator('del')).toContainText('titel')
  await page.goBack()

  // The original is a step away, and nothing of it was changed.
  await page.getByRole('button', {name: 'Back to it'}).last().click()
  await expect(page.getByRole('textbox', {name: 'Mended copy of index.html'})).toContainText('titel')
  await page.keyboard.press('Escape')
})

test('attempts are held side by side, and one key leads between them', async ({page}) => {
  await openDesk(page, SITE)
  await page.goBack()
  const mended = {
    ...SITE,
    'index.html': SITE['index.html'].replace('titel', 'class'),
    'more.html': html('<h1>More</h1>'),
  }
  await page.getByTestId('zips').setInputFiles([zip('afennimore.zip', mended)])
  await expect(page.getByRole('listitem').filter({hasText: 'attempt 2'})).toContainText(/checked/, {timeout: 30_000})
  await page.getByRole('listitem').filter({hasText: 'attempt 2'}).getByRole('link').click()
  await expect(page.getByRole('tab', {name: 'Source'})).toBeVisible()
  await page.keyboard.press('9')
  const sheet = page.getByRole('region', {name: 'Attempts'})
  await expect(sheet.getByText(/1 mended, \d+ still there/)).toBeVisible()
  await expect(sheet.getByRole('region', {name: 'Mended'})).toContainText('titel')
  await expect(sheet.getByText('more.html, added')).toBeVisible()
  await sheet.getByRole('button', {name: 'index.html', exact: true}).click()
  await expect(sheet.locator('.cm-deletedChunk')).toContainText('titel')
  expect(await broken(page), 'attempts').toEqual([])
  const here = page.url()
  await page.keyboard.press('t')
  await expect(page).not.toHaveURL(here)
  await expect(page).toHaveURL(/view=attempts/)
  await expect(page.getByRole('heading', {name: 'Attempt 1 beside attempt 2'})).toBeVisible()
  await page.keyboard.press('t')
  await expect(page).toHaveURL(here)
})

test('a line that an address names is chosen in the page as seen too, and stays', async ({page}) => {
  const address = await openDesk(page, SITE)
  await page.goto(`${address.replace(/\?.*/, '')}?leaf=index.html&view=both&line=8`)
  const heading = page.frameLocator('iframe').getByRole('heading', {level: 1})
  await expect(heading).toHaveCSS('outline-style', 'solid')
  await expect(page).toHaveURL(/line=8/)
  await page.locator('.cm-line').filter({hasText: '<p titel='}).click()
  await expect(page.frameLocator('iframe').locator('p')).toHaveCSS('outline-style', 'solid')
  await expect(page).toHaveURL(/line=12/)
  // And the other way round.
  await page.getByLabel('Point at elements').check()
  await heading.click()
  await expect(page).toHaveURL(/line=8/)
  await page.reload()
  await expect(page.locator('.cm-line.chosen')).toContainText('<h1>Round</h1>')
})

test('quiet lines fold, what is shown can be narrowed, and the class is read in another order', async ({page}) => {
  const quiet = Array.from({length: 80}, (_, line) => `<p>Line ${line}</p>`).join('\n')
  await openDesk(page, {...SITE, 'index.html': html(`<img src="a.png">\n${quiet}\n<p titel="left">x</p>`)})
  await page.getByRole('link', {name: 'index.html', exact: true}).click()
  const fold = page.getByRole('button', {name: /quiet lines, \d+ to \d+/})
  await expect(fold.first()).toBeVisible()
  expect(await broken(page), 'folded').toEqual([])
  await fold.last().click()
  await expect(page.getByText('Line 40')).toBeAttached()
  await page.keyboard.press('f')
  await expect(fold).toHaveCount(0)
  await page.keyboard.press('f')

  await page.getByRole('link', {name: 'The whole hand-in'}).click()
  await page
    .getByRole('region', {name: 'What was found, by kind'})
    .getByRole('button', {name: 'Missing alt text'})
    .click()
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await expect(margin.getByText('has no alt text').first()).toBeVisible()
  await expect(margin.getByText('titel')).toHaveCount(0)
  await page.getByRole('button', {name: 'Show all'}).click()
  await expect(margin.getByText('titel').first()).toBeAttached()

  await page.getByLabel('the class is read').selectOption('unread')
  await expect(page.getByText('1 of 1, ')).toBeVisible()
  await page.getByRole('button', {name: 'Put by'}).click()
  await page.getByLabel('Why it waits, in a word').fill('ask about line 40')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Put by: ask about line 40')).toBeVisible()
  expect(await broken(page), 'put by').toEqual([])
  await page.getByRole('button', {name: 'Take it up'}).click()
  await expect(page.getByRole('button', {name: 'Put by'})).toBeVisible()
  await page.getByLabel('the class is read').selectOption('name')
})

test('two desks on one hand-in see each other’s ink, and lose nothing', async ({page, browser}) => {
  test.setTimeout(120_000)
  const address = await openDesk(page, SITE)
  const other: BrowserContext = await browser.newContext({storageState: await page.context().storageState()})
  const second = await other.newPage()
  await second.goto(address)
  await expect(second.getByRole('tab', {name: 'Source'})).toBeVisible()
  const id = new URL(address).pathname.split('/').at(-1) ?? ''
  const desks = [page, second]
  // Interleaved: verdicts on the same findings, and notes of both.
  const prints = await page.evaluate(async hand => {
    const told = (await (
      await fetch(`/api/hand-ins/${hand}/findings?leaf=index.html`, {headers: {Accept: 'application/json'}})
    ).json()) as {fingerprint: string}[]
    return told.map(one => one.fingerprint)
  }, id)
  const edit = (desk: Page, at: number) =>
    desk.evaluate(
      async ({hand, print, number}) => {
        const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
        const headers = {
          Accept: 'application/json',
          'Content-Type': 'application/json',
          'X-XSRF-TOKEN': decodeURIComponent(token),
          'X-Desk': `desk-of-a-test-${number % 2}`,
        }
        const send = (address: string, method: string, body: unknown) =>
          fetch(address, {method, headers, body: JSON.stringify(body)}).then(answer => answer.ok)
        return number % 4 < 2
          ? send(`/api/hand-ins/${hand}/verdicts/${print}`, 'PUT', {state: number % 3 === 0 ? 'inked' : 'rubbed-out'})
          : send(`/api/hand-ins/${hand}/notes`, 'POST', {
              body: `Note ${number}`,
              kind: 'note',
              file: 'two.html',
              line: 1 + (number % 9),
            })
      },
      {hand: id, print: prints[at % prints.length] ?? '', number: at},
    )
  for (let from = 0; from < 200; from += 8) {
    const told = await Promise.all(Array.from({length: 8}, (_, at) => edit(desks[at % 2] ?? page, from + at)))
    expect(told).toEqual(Array.from({length: 8}, () => true))
  }
  const inkOn = (desk: Page) =>
    desk
      .getByRole('link', {name: /^two\.html/})
      .locator('xpath=../..')
      .innerText()
  for (const one of desks) await expect.poll(() => inkOn(one)).toContain('100 in ink')
  for (const one of desks) await one.getByRole('link', {name: 'two.html', exact: true}).click()
  for (const one of desks)
    await expect(
      one.getByRole('region', {name: 'Margin', exact: true}).getByText('Note 2', {exact: true}),
    ).toBeAttached()

  // One inks on the screen, and the other sees it within three seconds.
  await page.keyboard.press('n')
  await page.keyboard.press('i')
  await expect.poll(() => inkOn(second), {timeout: 6_000}).toContain('101 in ink')
  await other.close()
})

test('what is done without a connection waits, says so, and is sent when it is back', async ({page, context}) => {
  await openDesk(page, SITE)
  await page.getByRole('link', {name: 'two.html', exact: true}).click()
  const margin = page.getByRole('region', {name: 'Margin', exact: true})
  await margin.getByText('has no alt text').first().click()
  await context.setOffline(true)
  await page.keyboard.press('i')
  await expect(margin.getByRole('button', {name: 'Inked', exact: true})).toBeVisible()
  await expect(page.getByText(/No connection\. 1 thing you did waits here/)).toBeVisible()
  await page.keyboard.press('m')
  await page.getByRole('textbox', {name: /^Note at line/}).fill('Written in a tunnel')
  await page.getByRole('button', {name: 'Keep'}).click()
  await expect(page.getByText(/No connection\. 2 things you did wait here/)).toBeVisible()
  await context.setOffline(false)
  await expect(page.getByText(/No connection/)).toHaveCount(0, {timeout: 10_000})
  // Until it is answered, what was written is in the box too, and would be there after reloading.
  await expect(page.getByRole('textbox', {name: /^Note at line/})).toHaveCount(0)
  await expect(margin.getByText('Written in a tunnel')).toBeVisible()
  await page.reload()
  await expect(margin.getByText('Written in a tunnel')).toHaveCount(1)
  await expect(margin.getByRole('button', {name: 'Inked', exact: true})).toBeVisible()
})
