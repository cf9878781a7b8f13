import {execFileSync} from 'node:child_process'
import {mkdtempSync, readFileSync, writeFileSync} from 'node:fs'
import {tmpdir} from 'node:os'
import {join} from 'node:path'
import {expect, type Page} from '@playwright/test'
import {broken} from './axe'
import {html, send, test, zip} from './desk'

const STUDENTS = Array.from({length: 30}, (_one, at) => ({
  name: `${String.fromCharCode(65 + (at % 26))}na Test${at}`,
  handle: `stud${at}`,
}))

/** A class of thirty with the same slip in every third site, all of it checked; leads to its class sheet. */
async function openClass(page: Page): Promise<{course: string; work: string}> {
  const title = `Class ${Date.now().toString(36)}`
  const {id: course} = await send<{id: string}>(page, 'post', '/api/courses', {
    title,
    school: '',
    term: '',
    timeZone: 'Europe/London',
  })
  const text = ['name,handle,e-mail', ...STUDENTS.map(({name, handle}) => `${name},${handle},${handle}@example.org`)]
  await send(page, 'put', `/api/courses/${course}/roster`, {text: text.join('\n')})
  const {id: work} = await send<{id: string}>(page, 'post', `/api/courses/${course}/assignments`, {
    title: 'Round',
    summary: '',
    due: null,
  })
  const source =
    'title: Round\nrequirements:\n  - {id: t, title: Titles, kind: titles, points: 4}\n  - {id: f, title: Two pages, kind: files, names: [index.html, two.html], points: 6}\n'
  await send(page, 'put', `/api/assignments/${work}/brief`, {source})
  const sites = STUDENTS.map(({handle}, at) => ({
    [`hand-ins/${handle}/index.html`]: html(
      `<h1>${handle}</h1>\n<p><a href="two.html">Two</a></p>\n${at % 3 === 0 ? '<p><img src="a.png"></p>' : '<p>None</p>'}`,
      `Home of ${handle}`,
    ),
    [`hand-ins/${handle}/a.png`]: 'x',
    ...(at % 2 === 0 ? {[`hand-ins/${handle}/two.html`]: html('<h1>Two</h1>', `Two of ${handle}`)} : {}),
  }))
  await page.goto(`/assignments/${work}/in-tray`)
  await page.getByTestId('zips').setInputFiles(zip('class.zip', Object.assign({}, ...sites) as Record<string, string>))
  await expect(page.getByText(/checked, \d+ findings?/)).toHaveCount(30, {timeout: 50_000})
  await page.goto(`/assignments/${work}/class-sheet`)
  return {course, work}
}

test('a class of thirty, from the class sheet to all replies released, with a slip inked for all and undone', async ({
  page,
}) => {
  test.setTimeout(150_000)
  const {work} = await openClass(page)
  await expect(page.getByText('30 of 30 students handed in')).toBeVisible()
  const slips = page.getByRole('region', {name: 'Commonest slips'})
  await slips.getByRole('button', {name: /^Missing alt text/}).click()
  await slips.getByRole('link', {name: 'Read all 10 places in a row'}).click()

  const places = page.getByRole('listitem')
  await expect(places).toHaveCount(10)
  await expect(page.getByText('10 places in 10 hand-ins, 10 in pencil.')).toBeVisible()
  await expect(places.first().locator('mark')).toHaveText('<img src="a.png">')
  expect(await broken(page), 'the strip').toEqual([])
  await page.keyboard.press('i')
  await expect(page.getByText('10 places in 10 hand-ins, 9 in pencil.')).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.press('x')
  await page.keyboard.press('n')
  await page.keyboard.press('x')
  await page.getByRole('button', {name: 'Rub out the 2 chosen'}).click()
  await expect(page.getByRole('status').getByText('Rubbed out 2 places in 2 hand-ins.')).toBeVisible()
  await page.getByRole('button', {name: 'Undo'}).click()
  await expect(page.getByText('10 places in 10 hand-ins, 9 in pencil.')).toBeVisible()
  await page.getByRole('button', {name: 'Ink all'}).click()
  await expect(page.getByText('10 places in 10 hand-ins, all decided.')).toBeVisible()
  await page.getByRole('button', {name: 'Undo'}).click()
  await expect(page.getByText('10 places in 10 hand-ins, 9 in pencil.')).toBeVisible()
  await page.getByRole('button', {name: 'Ink all'}).click()
  await expect(page.getByText('10 places in 10 hand-ins, all decided.')).toBeVisible()
  await page.getByRole('button', {name: 'Add a note to all…'}).click()
  const note = page.getByRole('dialog', {name: 'A note to all'})
  await note.getByLabel('Note').fill('See **page 12** of the handout.')
  expect(await broken(page), 'a note to all').toEqual([])
  await note.getByRole('button', {name: 'Write it'}).click()
  await expect(page.getByText('A note written at 10 places in 10 hand-ins.')).toBeVisible()
  await page.keyboard.press('a')
  await expect(page.getByText('Ana Test0')).toHaveCount(0)

  await page.goto(`/assignments/${work}/lesson`)
  await expect(page.getByRole('article')).not.toHaveCount(0)
  await page.getByLabel(/^Missing alt text/).click()
  await expect(page.getByLabel(/^Missing alt text/)).toBeChecked()
  const handout = page.getByRole('article').filter({hasText: 'Missing alt text'})
  await expect(handout).toContainText('In 10 hand-ins of this class')
  await expect(page.getByRole('region', {name: 'Handout'})).not.toContainText('stud0')
  expect(await broken(page), 'next lesson').toEqual([])
  await page.keyboard.press('w')
  await expect(page.getByText(/^1 of \d$/)).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/^2 of \d$/)).toBeVisible()
  expect(await broken(page), 'on the projector').toEqual([])
  await page.keyboard.press('Escape')
  const [pdf] = await Promise.all([
    page.waitForEvent('download', {timeout: 40_000}),
    page.getByRole('button', {name: 'As PDF'}).click(),
  ])
  // Source: poppler's pdftotext, from Debian.
  const words = execFileSync('pdftotext', [await pdf.path(), '-'])
    .toString()
    .replace(/\s+/g, ' ')
  expect(words).toContain('learn nothing about it')

  await page.goto(`/assignments/${work}/class-sheet`)
  await page.getByRole('button', {name: 'Release replies'}).click()
  const dialog = page.getByRole('dialog', {name: 'Release replies'})
  await expect(dialog).toContainText('30 replies will go out.')
  await dialog.getByLabel('Send each a letter with the link to the reply').check()
  await dialog.getByRole('button', {name: 'Release 30'}).click()
  await expect(dialog.getByRole('status')).toHaveText('30 replies released. 30 letters on the way.')
  await dialog.getByRole('button', {name: 'Close'}).click()
  await expect(page.getByText('30 replies released')).toBeVisible()
})

test('a reply as one page loads nothing with the network off, and says all of it', async ({page}) => {
  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).first().click()
  await page.getByRole('link', {name: 'Class sheet'}).click()
  await page.getByRole('grid').getByRole('link', {name: 'Corin Vasey', exact: true}).click()
  await expect(page.getByRole('tab', {name: 'Source'})).toBeVisible()
  const id = /hand-ins\/([^?/]+)/.exec(page.url())?.[1] ?? ''
  await send(page, 'post', `/api/hand-ins/${id}/notes`, {kind: 'note', body: 'Mind the tide.', file: null, line: null})
  await page.goto(`/hand-ins/${id}/reply`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', {name: 'As one page'}).click(),
  ])
  const file = join(mkdtempSync(join(tmpdir(), 'margin-')), 'reply.html')
  await download.saveAs(file)
  const asked: string[] = []
  await page.context().setOffline(true)
  page.on('request', request => asked.push(request.url()))
  await page.goto(`file://${file}`)
  await expect(page.getByText('Mind the tide.').first()).toBeVisible()
  await expect(page.getByRole('heading', {name: 'Points'})).toBeVisible()
  expect(asked.filter(url => !url.startsWith('file:'))).toEqual([])
  await page.context().setOffline(false)
})

test('the gradebook opens its numbers, goes out and comes in again', async ({page}) => {
  test.setTimeout(120_000)
  const {course} = await openClass(page)
  await page.goto(`/courses/${course}/gradebook`)
  const book = page.getByRole('table', {name: 'Students down, work across'})
  await expect(book.getByRole('row')).toHaveCount(32)
  expect(await broken(page), 'gradebook').toEqual([])
  await book.getByRole('button', {name: /^Ana Test0\. Round: 10 of 10/}).click()
  const opened = page.getByRole('region', {name: 'Ana Test0'})
  await expect(opened.getByRole('row', {name: /Two pages/})).toContainText('6 of 6')
  await opened.getByLabel('Points').fill('7,5')
  await opened.getByLabel('Why').fill('agreed in class')
  expect(await broken(page), 'a number opened').toEqual([])
  await opened.getByRole('button', {name: 'Give 7,5'}).click()
  await expect(
    book.getByRole('button', {name: /^Ana Test0\. Round: 7\.5 of 10, by hand: agreed in class/}),
  ).toBeVisible()

  await page.getByRole('button', {name: 'What counts…'}).click()
  const settings = page.getByRole('dialog', {name: 'What counts'})
  await settings.getByLabel('Part', {exact: true}).fill('Exercises')
  await settings.getByRole('button', {name: 'Another part'}).click()
  await settings.getByLabel('Part', {exact: true}).nth(1).fill('Oral')
  expect(await broken(page), 'what counts').toEqual([])
  await settings.getByRole('button', {name: 'Keep'}).click()
  await expect(book.getByRole('columnheader', {name: 'Exercises, %'})).toBeVisible()

  const marks = join(mkdtempSync(join(tmpdir(), 'margin-')), 'test.csv')
  writeFileSync(marks, 'handle;Class test (20)\nstud0;15\nstud1;excused\nnobody;3\n')
  await page.getByRole('button', {name: 'Take in marks…'}).click()
  const taking = page.getByRole('dialog', {name: 'Marks from elsewhere'})
  await taking.getByTestId('marks').setInputFiles(marks)
  await expect(taking).toContainText('2 students found, 1 column of marks.')
  await expect(taking).toContainText('line 4: nobody')
  expect(await broken(page), 'marks from elsewhere').toEqual([])
  await taking.getByRole('button', {name: 'Take 1 column'}).click()
  await expect(
    book.getByRole('button', {name: /^Ana Test0\. Class test: 15 of 20, by hand: carried over from test\.csv/}),
  ).toBeVisible()

  await page.getByRole('button', {name: 'Download'}).click()
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', {name: 'CSV', exact: true}).click(),
  ])
  const written = readFileSync(await csv.path()).toString()
  expect(written.split('\r\n').slice(0, 2)).toEqual([
    'Name,Handle,E-mail,Group,"Round (10)","Class test (20)","Exercises %","Oral %","Course %"',
    '"Ana Test0",stud0,stud0@example.org,,7.5,15,75,,75',
  ])
  await page.getByRole('button', {name: 'Take in marks…'}).click()
  const path = await csv.path()
  await taking.getByTestId('marks').setInputFiles(path)
  // What went out is what is here.
  await expect(taking).toContainText('30 students found, 2 columns of marks.')
  await expect(taking.getByText('0 students, 30 stay')).toBeVisible()
  await taking.getByRole('button', {name: 'Back'}).click()
  await taking.getByRole('button', {name: 'Leave'}).click()

  await page.getByRole('link', {name: 'The term in pictures'}).click()
  await expect(
    page.getByRole('table', {name: 'The points as a table'}).getByRole('row', {name: /Round/}),
  ).toContainText('30')
  await page.getByLabel('of whom').selectOption({label: 'Ana Test0'})
  await expect(page.getByRole('heading', {name: 'Slips of Ana Test0, how often in each'})).toBeVisible()
  expect(await broken(page), 'the term').toEqual([])

  await page.keyboard.press('/')
  await page.keyboard.type('test0 round')
  await page
    .getByRole('option', {name: /Ana Test0, Round/})
    .first()
    .click()
  await expect(page.getByRole('tab', {name: 'Source'})).toBeVisible()

  await page.goto(`/courses/${course}/records`)
  await page.getByRole('button', {name: 'Write the records of the course'}).click()
  const link = page.getByRole('link', {name: 'Download the zip'})
  await expect(link).toBeVisible({timeout: 30_000})
  expect(await broken(page), 'records').toEqual([])
  const [records] = await Promise.all([page.waitForEvent('download'), link.click()])
  expect(execFileSync('unzip', ['-Z1', await records.path()]).toString()).toContain('gradebook.csv')
  await page.getByLabel('Student', {exact: true}).selectOption({label: 'Ana Test0'})
  await page.getByLabel('Type the name of Ana Test0').fill('Ana Test0')
  await page.getByRole('button', {name: 'Delete Ana Test0'}).click()
  await expect(page.getByRole('option', {name: 'Ana Test0'})).toHaveCount(0)
})
