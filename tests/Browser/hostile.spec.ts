import {spawn} from 'node:child_process'
import {readFileSync} from 'node:fs'
import {setTimeout} from 'node:timers/promises'
import {expect} from '@playwright/test'
import {drop, html, openInTray, test, zip} from './desk'

const ATTACK = `<p id="told">nothing ran</p><script>
  const told = [];
  const attempt = (name, what) => { try { const got = what(); told.push(name + ': ' + got) } catch (error) { told.push(name + ': ' + error.name) } };
  attempt('parent', () => parent.document.title);
  attempt('cookies', () => document.cookie);
  attempt('storage', () => localStorage.length);
  attempt('top', () => { top.location = 'about:blank'; return 'left' });
  attempt('popup', () => String(open('about:blank')));
  fetch('/api/me').then(() => told.push('fetch: answered'), () => told.push('fetch: blocked')).then(() => { document.getElementById('told').textContent = told.join(', ') });
</script>`

test('a student’s script cannot read the desk, its cookies, or leave its frame', async ({page}) => {
  await openInTray(page, 'Storm drill')
  const line = await drop(
    page,
    zip('bcastlewick.zip', {
      'index.html': html(
        `${ATTACK}<a href="two.html">on</a><a href="https://example.org/" target="_top">away</a>`,
        'Storm drill - one',
      ),
      'two.html': html('<p>two</p>', 'Storm drill - two'),
    }),
    'Briony Castlewick',
    /checked/,
  )
  await line.getByRole('link', {name: 'Briony Castlewick'}).click()
  await page.getByRole('tab', {name: 'As seen'}).click()
  const frame = page.frameLocator('iframe')
  await expect(frame.locator('#told')).toHaveText('nothing ran')

  await page.getByLabel('Run scripts').check()
  await expect(frame.locator('#told')).toHaveText(
    /parent: SecurityError, cookies: SecurityError, storage: SecurityError, top: (left|SecurityError), popup: null, fetch: blocked/,
  )
  await frame.getByRole('link', {name: 'away'}).click()
  await setTimeout(300)
  await expect(page).toHaveURL(/\/hand-ins\//)

  await frame.getByRole('link', {name: 'on'}).click()
  await expect(page.getByRole('navigation', {name: 'Leaves'}).getByRole('link', {name: 'two.html'})).toHaveAttribute(
    'aria-current',
    'page',
  )
})

test('a worker killed in the middle of a check: the next one finishes it, once, with nothing doubled', async ({
  page,
}) => {
  const pages = Object.fromEntries(
    Array.from({length: 200}, (_, number) => [
      number === 0 ? 'index.html' : `page-${number}.html`,
      html('<img src="none.png">'.repeat(20) + '<p>x</p>'.repeat(800), `Storm drill - ${number}`),
    ]),
  )
  await openInTray(page, 'Storm drill')
  await page.getByTestId('zips').setInputFiles(zip('ethornquist.zip', pages))
  const line = page.getByRole('listitem').filter({hasText: 'Edda Thornquist'})
  await expect(line.getByText('is being checked')).toBeVisible({timeout: 40_000})
  process.kill(Number(readFileSync(process.env.MARGIN_WORKER ?? '', 'utf8')), 'SIGKILL')
  await expect(line.getByText(/checked, \d+ findings/)).toBeVisible({timeout: 50_000})
  await expect(line).toHaveCount(1)
})

test('many archives of one student at once, and two workers: each becomes one attempt', async ({page}) => {
  const second = spawn('php', ['artisan', 'queue:work', '--sleep=0.1', '--max-time=30'], {stdio: 'ignore'})
  await openInTray(page, 'Storm drill')
  const zips = Array.from({length: 8}, (_, number) =>
    zip('iquillfeather.zip', {'index.html': html(`<p>${number}</p>`, `Storm drill - ${number}`)}),
  )
  await page.getByTestId('zips').setInputFiles([...zips, zips[0] ?? ''])
  const line = page.getByRole('listitem').filter({hasText: 'iquillfeather.zip'})
  await expect(line.filter({hasText: /checked/})).toHaveCount(8, {timeout: 30_000})
  await expect(line.filter({hasText: 'nothing was added'})).toHaveCount(1)
  for (let attempt = 2; attempt <= 8; attempt++) {
    await expect(line.filter({hasText: new RegExp(`attempt ${attempt}.*checked`)})).toHaveCount(1)
  }
  second.kill()
})
