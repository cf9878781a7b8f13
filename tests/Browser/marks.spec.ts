import {expect, type Page} from '@playwright/test'
import {broken} from './axe'
import {html, send, test, zip} from './desk'

const BRIEF = `title: Almanac
requirements:
  - {id: titles, title: Titles, kind: titles, points: 4}
  - {id: pictures, title: Pictures with alt text, kind: pictures, points: 4, credit: all}
  - {id: look, title: Well laid out, kind: look, points: 6, question: Is it well laid out?}
`

const files = {
  'index.html': html('<h1>Marrow Sound</h1>\n<p><img src="a.png"></p>\n<p><a href="tides.html">Tides</a></p>'),
  'tides.html': html('<h1>Tides</h1>\n<p><img src="a.png" alt="A gull"></p>', 'Tides'),
  'a.png': 'x',
}

/** An assignment of its own with hand-ins of two students, all checked; its address, and the course's. */
async function twoHandIns(page: Page): Promise<{work: string; course: string}> {
  const shelf = (await (await page.request.get('/api/shelf')).json()) as {courses: {id: string; title: string}[]}
  const course = shelf.courses.find(({title}) => title === 'Web Craft 1')?.id ?? ''
  const {id} = await send<{id: string}>(page, 'post', `/api/courses/${course}/assignments`, {
    title: `Marks ${Date.now().toString(36)}`,
    summary: '',
    due: '2026-01-01T12:00',
  })
  await send(page, 'put', `/api/assignments/${id}/brief`, {source: BRIEF})
  await page.goto(`/assignments/${id}/in-tray`)
  await page.getByTestId('zips').setInputFiles([zip('afennimore.zip', files), zip('bcastlewick.zip', files)])
  await expect(page.getByText(/checked, \d+ findings/)).toHaveCount(2, {timeout: 30_000})
  return {work: `/assignments/${id}`, course: `/courses/${course}`}
}

test('a reason rubbed out gives its points back on desk, class sheet and gradebook, and the reply has every other', async ({
  page,
}) => {
  const {work, course} = await twoHandIns(page)
  await page.goto(work)
  await page.getByRole('link', {name: 'Abel Fennimore'}).click()
  const points = page.getByRole('region', {name: 'Points'})
  await expect(points.getByRole('heading', {name: '4 of 14 points'})).toBeVisible()
  await expect(points).toContainText('Provisional: 6 points not judged yet')

  // What a finding costs stands beside it, and in the sum.
  const note = page.getByText('This picture has no alt text; the brief asks for it.').first()
  await expect(page.getByTitle('What it costs').first()).toHaveText('-4')
  await points.getByRole('button', {name: 'Unfold'}).click()
  await expect(points).toContainText('-4')
  expect(await broken(page), 'the desk with its costs').toEqual([])
  await expect(note).toBeVisible()

  await page.getByRole('button', {name: 'Rub out'}).first().click()
  await expect(points.getByRole('heading', {name: '8 of 14 points'})).toBeVisible()

  // From here on by links alone: nothing is loaded anew.
  await page.evaluate(() => Object.assign(window, {stays: true}))
  await page.getByRole('link', {name: 'Reply'}).click()
  await expect(page.getByRole('article')).toContainText('8 of 14 points')
  await expect(page.getByRole('article')).toContainText('not judged yet, 6 can be had')
  await page.getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Gradebook'}).click()
  await expect(page.getByRole('row', {name: /Abel Fennimore/})).toContainText('8')
  await page.goBack()
  await page
    .getByRole('link', {name: /^Marks /})
    .last()
    .click()
  await page.getByRole('link', {name: 'Class sheet'}).click()
  await expect(
    page
      .getByRole('row', {name: /Abel Fennimore/})
      .getByRole('gridcell')
      .first(),
  ).toHaveText('8?')
  await expect(
    page
      .getByRole('row', {name: /Briony Castlewick/})
      .getByRole('gridcell')
      .first(),
  ).toHaveText('4?')
  expect(await page.evaluate(() => 'stays' in window)).toBe(true)

  // Undo takes it back; all reasons are inked together; the released reply has each with its cost.
  await page.getByRole('link', {name: 'Abel Fennimore', exact: true}).click()
  await page.getByRole('button', {name: 'Bring back'}).first().click()
  await expect(points.getByRole('heading', {name: '4 of 14 points'})).toBeVisible()
  await page.getByRole('link', {name: 'Reply'}).click()
  const reasons = page.getByRole('group', {name: 'Reasons in pencil'})
  await expect(reasons).toContainText('1 reason for lost points is still in pencil.')
  expect(await broken(page), 'a reply with reasons in pencil').toEqual([])
  await reasons.getByRole('button', {name: 'Ink all 1'}).click()
  await expect(reasons.getByRole('status')).toContainText('Inked 1 reason.')
  await page.getByRole('button', {name: 'Release', exact: true}).click()
  const asking = page.getByRole('dialog', {name: 'Release provisional points?'})
  await expect(asking).toContainText('6 points not judged yet')
  expect(await broken(page), 'the question about provisional points').toEqual([])
  await asking.getByRole('button', {name: 'Release as it is'}).click()
  await expect(page.getByText(/^Released .*just as it stands here\.$/)).toBeVisible()
  await expect(page.getByRole('article')).toContainText('-4')
  await expect(page.getByRole('article')).toContainText('index.html, line 9')
  expect(course).not.toBe('')
})

test('a class is judged by eye with the number keys, a requirement at a time, and one is left out', async ({page}) => {
  const {work} = await twoHandIns(page)
  await page.goto(`${work}/class-sheet`)
  await page.getByRole('button', {name: 'Requirements, 1 to judge'}).click()
  const dialog = page.getByRole('dialog', {name: 'Requirements'})
  await expect(dialog).toContainText('Everyone is marked out of 14 points.')
  expect(await broken(page), 'requirements').toEqual([])
  await dialog.getByRole('link', {name: 'Judge by eye'}).click()

  const abel = page.getByRole('region', {name: 'Abel Fennimore'})
  await expect(abel).toHaveAttribute('aria-current', 'true')
  // The page itself, from the other host, in its sandbox.
  await expect(abel.locator('iframe').first().contentFrame().getByRole('heading', {name: 'Marrow Sound'})).toBeVisible()
  await expect(abel.locator('iframe').first()).toHaveAttribute('sandbox', 'allow-scripts')
  expect(await broken(page), 'judging').toEqual([])
  await page.keyboard.press('3')
  await expect(abel.getByRole('button', {name: /reads well/})).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('region', {name: 'Briony Castlewick'})).toHaveAttribute('aria-current', 'true')
  await page.keyboard.press('4')
  await expect(page.getByText('2 of 2 judged')).toBeVisible()

  await page.getByRole('link', {name: 'Class sheet'}).click()
  await expect(
    page
      .getByRole('row', {name: /Abel Fennimore/})
      .getByRole('gridcell')
      .first(),
  ).toHaveText('8')
  await expect(
    page
      .getByRole('row', {name: /Briony Castlewick/})
      .getByRole('gridcell')
      .first(),
  ).toHaveText('10')
  await page.getByRole('button', {name: 'Requirements', exact: true}).click()
  await dialog.getByRole('button', {name: 'Leave out'}).last().click()
  await dialog.getByLabel('Reason, for those who mark').fill('Nobody was told')
  await dialog.getByRole('button', {name: 'Leave out'}).last().click()
  await expect(dialog).toContainText('Everyone is marked out of 8 points.')
  await dialog.getByRole('button', {name: 'Count again'}).click()
  await expect(dialog).toContainText('Everyone is marked out of 14 points.')
})

test('a student has more time, and only markers see why', async ({page}) => {
  const {work} = await twoHandIns(page)
  await page.goto(work)
  await expect(page.getByRole('row', {name: /Abel Fennimore/})).toContainText('late')
  await page.getByRole('button', {name: 'Add an extension'}).click()
  const dialog = page.getByRole('dialog', {name: 'Add an extension'})
  await dialog.getByRole('combobox', {name: 'Student or group'}).click()
  await page.getByRole('option', {name: /Abel Fennimore/}).click()
  await dialog.getByLabel('New due time').fill('2030-01-01T12:00')
  await dialog.getByLabel('Reason').fill('A week in hospital')
  expect(await broken(page), 'an extension').toEqual([])
  await dialog.getByRole('button', {name: 'Save'}).click()
  await expect(dialog).toHaveCount(0)

  const extensions = page.getByRole('region', {name: 'Extensions'})
  await expect(extensions).toContainText('A week in hospital')
  await expect(page.getByRole('row', {name: /Abel Fennimore/})).toContainText('Extension: due')
  await expect(page.getByRole('row', {name: /Abel Fennimore/}).getByText('late', {exact: true})).toHaveCount(0)
  await page.getByRole('link', {name: 'Abel Fennimore'}).click()
  await page
    .getByRole('button', {name: 'The whole hand-in'})
    .or(page.getByRole('link', {name: 'The whole hand-in'}))
    .first()
    .click()
  await expect(page.getByText(/Only markers see the reason: A week in hospital/)).toBeVisible()
  await page.goBack()
  await page.goBack()
  await extensions.getByRole('button', {name: 'Remove'}).click()
  await expect(extensions).toContainText('Everyone has the same due time.')
})
