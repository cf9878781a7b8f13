import {execFileSync} from 'node:child_process'
import {mkdirSync, mkdtempSync, writeFileSync} from 'node:fs'
import {tmpdir} from 'node:os'
import {dirname, join} from 'node:path'
import {expect, test as base, type Page} from '@playwright/test'

/** Tests begin logged in as the demo's instructor. */
export const test = base.extend({
  page: async ({page}, ready) => {
    const errors: Error[] = []
    page.on('pageerror', error => errors.push(error))
    await page.goto('/log-in')
    await page.getByLabel('E-mail').fill('rowan@wrenquay.invalid')
    await page.getByLabel('Password').fill('paper-and-ink')
    await page.getByRole('button', {name: 'Log in'}).click()
    await expect(page.getByRole('heading', {name: 'What waits for you'})).toBeVisible()
    await ready(page)
    expect(errors, 'errors on the page').toEqual([])
  },
})

/** A page with nothing amiss but what stands in its body. */
export const html = (body: string, title = 'A page') =>
  `<!DOCTYPE html>\n<html lang="en">\n<head>\n<meta charset="utf-8">\n<title>${title}</title>\n</head>\n<body>\n${body}\n</body>\n</html>\n`

/** The path of a zip of the given files, named as asked. */
export function zip(name: string, files: Record<string, string>): string {
  const folder = mkdtempSync(join(tmpdir(), 'margin-'))
  for (const [path, text] of Object.entries(files)) {
    mkdirSync(join(folder, 'site', dirname(path)), {recursive: true})
    writeFileSync(join(folder, 'site', path), text)
  }
  const php =
    '$z = new ZipArchive; $z->open($argv[1], ZipArchive::CREATE); foreach (json_decode(stream_get_contents(STDIN)) as $p) $z->addFile("$argv[2]/$p", $p); $z->close();'
  execFileSync('php', ['-r', php, join(folder, name), join(folder, 'site')], {
    input: JSON.stringify(Object.keys(files)),
  })
  return join(folder, name)
}

export async function openInTray(page: Page, assignment: string) {
  await page.goto('/')
  await page.getByRole('link', {name: assignment}).click()
  await page.getByRole('link', {name: 'Open the in-tray'}).click()
  await expect(page.getByRole('heading', {name: 'What came in'})).toBeVisible()
}

/** Drops a zip into the in-tray and waits until its check is done. */
export async function drop(page: Page, file: string, student: string, found: RegExp) {
  await page.getByTestId('zips').setInputFiles(file)
  const line = page.getByRole('listitem').filter({hasText: student}).filter({hasText: found}).first()
  await expect(line).toBeVisible({timeout: 30_000})
  return line
}

/** A hand-in of its own for a test, in an assignment of its own; opens its desk. */
export async function openDesk(page: Page, files: Record<string, string>, name = 'afennimore.zip'): Promise<string> {
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Set new work'}).click()
  await page.getByLabel('Title').fill(`Desk ${Date.now().toString(36)}`)
  await page.getByRole('button', {name: 'Set it'}).click()
  await expect(page.getByRole('link', {name: 'Open the in-tray'})).toBeVisible()
  const work = new URL(page.url()).pathname.split('/').at(-1) ?? ''
  const {cookies} = await page.context().storageState()
  const token = cookies.find(one => one.name === 'XSRF-TOKEN')?.value ?? ''
  const headers = {Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token)}
  const source = 'title: Round\nrequirements:\n  - {id: t, title: Titles, kind: titles, points: 4}\n'
  expect((await page.request.put(`/api/assignments/${work}/brief`, {headers, data: {source}})).ok()).toBe(true)
  await page.getByRole('link', {name: 'Open the in-tray'}).click()
  await page.getByTestId('zips').setInputFiles([zip(name, files)])
  await expect(page.getByText(/checked, \d+ findings/)).toBeVisible({timeout: 30_000})
  await page.getByRole('link', {name: 'Abel Fennimore'}).click()
  await expect(page.getByRole('tab', {name: 'Source'})).toBeVisible()
  return page.url()
}
