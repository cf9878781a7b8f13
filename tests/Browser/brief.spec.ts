import {expect, type Page} from '@playwright/test'
import {broken} from './axe'
import {html, test, zip} from './desk'

/** Work of its own in the demo's course, on the screen of its brief. */
async function newWork(page: Page, title: string) {
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Set new work'}).click()
  await page.getByLabel('Title').fill(title)
  await page.getByRole('button', {name: 'Set it'}).click()
  await expect(page.getByRole('heading', {name: title})).toBeVisible()
}

const sentence = (page: Page, name: string | RegExp) =>
  page.getByRole('list', {name: 'What is asked'}).getByRole('listitem').filter({hasText: name})

test('a brief is proposed from the model answer, changed where it stands, and put in use', async ({page}) => {
  await newWork(page, 'Tide tables')
  await page.getByRole('link', {name: 'Assignment settings'}).click()
  const model = {
    'index.html': html('<h1>Home</h1><p><a href="tides.html">Tides</a></p>', 'Tide tables - Home'),
    'tides.html': html('<h1>Tides</h1><p><a href="index.html">Home</a></p>', 'Tide tables - Tides'),
  }
  await page.getByLabel('Files: model answer').setInputFiles(zip('model.zip', model))
  await expect(page.getByText('2 files: index.html, tides.html')).toBeVisible()
  expect(await broken(page), 'files of an assignment').toEqual([])
  await page
    .getByLabel('Files: texts')
    .setInputFiles({name: 'a.zip', mimeType: 'application/zip', buffer: Buffer.from('no')})
  await expect(page.getByText('is not a zip archive. What was there stays.')).toBeVisible()

  await page.getByRole('link', {name: 'Look at them'}).click()
  await expect(page.getByLabel('Source of index.html')).toContainText('Tide tables - Home')
  expect(await broken(page), 'a site of one’s own').toEqual([])
  await page.keyboard.press('2')
  await page.frameLocator('iframe').getByRole('link', {name: 'Tides'}).click()
  await expect(page).toHaveURL(/leaf=tides\.html/)
  await page.getByRole('tab', {name: 'Page map'}).click()
  await expect(page.getByRole('region', {name: 'Page map'})).toContainText('tides.html')

  await page.getByRole('link', {name: 'Tide tables'}).click()
  await page.getByRole('link', {name: 'Write it'}).click()
  await page.getByRole('button', {name: 'Propose from the model answer'}).click()
  await page.getByRole('button', {name: 'Ink all'}).click()
  await expect(sentence(page, 'index.html').first()).toContainText('met')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.getByRole('button', {name: 'Use this brief'})).toBeEnabled()
  expect(await broken(page), 'the brief').toEqual([])

  await page.getByLabel('Ask for…').fill('12 cells')
  await page.getByRole('option', {name: /12 cells/}).click()
  const cells = sentence(page, 'Twelve cells')
  await expect(cells).toContainText('unmet')
  await expect(page.getByText('The model answer does not meet one requirement')).toBeVisible()
  await cells.getByLabel('selector').fill('p')
  await cells.getByLabel('exactly').fill('1')
  await cells.getByLabel('points').fill('2,5')
  await expect(cells).toContainText('Every page has exactly 1 p.')
  await expect(cells).toContainText('met: 2 of 2 pages, 2.5 of 2.5')
  expect(await broken(page), 'the blanks').toEqual([])
  await cells.getByLabel('exactly').fill('many')
  await expect(cells).toContainText('a whole number from 0 to 100000 was expected')
  await expect(page.getByRole('button', {name: 'Use this brief'})).toBeDisabled()
  await page.getByRole('button', {name: 'Undo'}).click()
  await expect(cells).toContainText('met: 2 of 2 pages')
  await expect(page.getByRole('contentinfo')).toContainText('kept at')

  // What was kept is there after a reload, and in use only when somebody says so.
  await page.reload()
  await expect(cells).toContainText('exactly 1 p')
  await page.getByRole('button', {name: 'Preview the changes'}).click()
  await expect(page.getByText('Nobody has handed in yet')).toBeVisible()
  await page.getByRole('button', {name: 'Use this brief'}).click()
  await expect(page.getByText(/Version 1, [\d.]+ points in all/)).toBeVisible()
})

test('a brief is written with the keyboard alone', async ({page}) => {
  await newWork(page, 'Gulls')
  await page.getByRole('link', {name: 'Write it'}).click()
  await page.getByLabel('Tried on').selectOption('the example ring of eight')
  const ask = page.getByLabel('Ask for…')
  await ask.focus()
  for (const words of ['a ring', 'title of its own']) {
    await ask.focus()
    await page.keyboard.type(words)
    await page.keyboard.press('Enter')
  }
  await expect(sentence(page, 'The ring')).toContainText('met: 16 of 16 links')
  await expect(sentence(page, 'Titles')).toContainText('met')
  await page.getByRole('button', {name: /^Titles\./}).focus()
  await page.keyboard.press('Enter')
  await page.keyboard.press('Enter')
  await page.keyboard.press('Tab')
  await page.getByRole('button', {name: 'Move up'}).focus()
  await page.keyboard.press('Enter')
  const first = page.getByRole('list', {name: 'What is asked'}).getByRole('listitem').first()
  await expect(first).toContainText('Titles')
  await page.getByRole('button', {name: 'Move Titles'}).focus()
  await page.keyboard.press('Space')
  await expect(page.getByText(/^(?:Picked up d|D)raggable item/)).toBeAttached()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText(/item (.+) was moved over droppable area (?!\1[.])/)).toBeAttached()
  await page.keyboard.press('Space')
  await expect(first).toContainText('The ring')
  await page.getByRole('button', {name: 'Use this brief'}).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Version 1')).toBeVisible()
})

test('two who write one brief at once lose nothing, and choose', async ({page, browser}) => {
  await newWork(page, 'Kelp')
  await page.getByRole('link', {name: 'Write it'}).click()
  const state = await page.context().storageState()
  const other = await (await browser.newContext({storageState: state, viewport: {width: 1280, height: 800}})).newPage()
  await other.goto(page.url())
  for (const [writer, words] of [
    [page, 'menu on every'],
    [other, 'sound markup'],
  ] as const) {
    await writer.getByLabel('Ask for…').fill(words)
    await writer.keyboard.press('Enter')
    if (writer === page) await expect(writer.getByRole('contentinfo')).toContainText('kept at')
  }
  await expect(other.getByText('has changed this brief')).toBeVisible()
  await expect(sentence(other, 'Sound markup')).toBeVisible()
  await other.getByRole('button', {name: 'Keep mine in its place'}).click()
  await expect(other.getByRole('contentinfo')).toContainText('kept at')
  await page.reload()
  await expect(sentence(page, 'Sound markup')).toBeVisible()
})
