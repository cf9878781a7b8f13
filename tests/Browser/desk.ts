import {execFileSync} from 'node:child_process'
import {mkdirSync, mkdtempSync, writeFileSync} from 'node:fs'
import {tmpdir} from 'node:os'
import {dirname, join} from 'node:path'
import {expect, request, test as base, type APIRequestContext, type Cookie, type Page} from '@playwright/test'

const ROWAN = {email: 'rowan@wrenquay.invalid', password: 'paper-and-ink'}

/** What a request has to carry besides its cookies. */
export async function headersOf(api: APIRequestContext) {
  const {cookies} = await api.storageState()
  const token = cookies.find(one => one.name === 'XSRF-TOKEN')?.value ?? ''
  return {Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token)}
}

export async function logIn(api: APIRequestContext) {
  await api.get('/api/first-run')
  expect((await api.post('/api/log-in', {headers: await headersOf(api), data: ROWAN})).ok()).toBe(true)
}

/** What is set up before the part that is tested, as the interface would do it. */
export async function send<T>(page: Page, method: 'post' | 'put', path: string, data: unknown): Promise<T> {
  const answer = await page.request[method](path, {headers: await headersOf(page.request), data})
  expect(answer.ok(), `${path}: ${await answer.text()}`).toBe(true)
  return answer.status() === 204 ? (undefined as T) : ((await answer.json()) as T)
}

/** Tests begin logged in as the demo's instructor; all of a worker's in one session, as logging in takes its time. */
export const test = base.extend<object, {session: Cookie[]}>({
  session: [
    async ({}, use, {project}) => {
      const api = await request.newContext({baseURL: project.use.baseURL ?? ''})
      await logIn(api)
      await use((await api.storageState()).cookies)
      await api.dispose()
    },
    {scope: 'worker'},
  ],
  page: async ({page, session}, ready) => {
    const errors: Error[] = []
    page.on('pageerror', error => errors.push(error))
    await page.context().addCookies(session)
    await page.goto('/')
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

/** An assignment of its own for a test; gives its id. */
async function setWork(page: Page): Promise<string> {
  const shelf = (await (await page.request.get('/api/shelf')).json()) as {courses: {id: string; title: string}[]}
  const course = shelf.courses.find(({title}) => title === 'Web Craft 1')?.id ?? ''
  const work = {title: `Desk ${Date.now().toString(36)}`, summary: '', due: null}
  const {id} = await send<{id: string}>(page, 'post', `/api/courses/${course}/assignments`, work)
  const source = 'title: Round\nrequirements:\n  - {id: t, title: Titles, kind: titles, points: 4}\n'
  await send(page, 'put', `/api/assignments/${id}/brief`, {source})
  return id
}

/** A hand-in of its own for a test, in an assignment of its own; opens its desk. */
export async function openDesk(page: Page, files: Record<string, string>, name = 'afennimore.zip'): Promise<string> {
  await page.goto(`/assignments/${await setWork(page)}/in-tray`)
  await page.getByTestId('zips').setInputFiles([zip(name, files)])
  await expect(page.getByText(/checked, \d+ findings/)).toBeVisible({timeout: 30_000})
  await page.getByRole('link', {name: 'Abel Fennimore'}).click()
  await expect(page.getByRole('tab', {name: 'Source'})).toBeVisible()
  return page.url()
}
