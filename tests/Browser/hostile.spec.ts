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

// Each frame that comes to life says whether it could connect to another machine.
const connecting = () => {
  const code = "parent.postMessage(typeof RTCPeerConnection === 'undefined' ? 'cannot' : 'can', '*')"
  const inner = `<script>${code}</script>`
  const frame = `<iframe srcdoc="${inner}"></iframe>`
  const inScript = (text: string) => JSON.stringify(text).replaceAll('</', '<\\/')
  return {
    'index.html': `<!-- first --><!DOCTYPE html><html lang="en"><head><meta charset="iso-8859-1"><title>Storm drill - é</title></head><body>
      <script>const told = [document.compatMode]; addEventListener('message', ({data}) => typeof data === 'string' && told.push('a frame ' + data))</script>
      ${frame}<iframe title=">" srcdoc="${inner}"></iframe><iframe src="drawing.svg"></iframe>
      <template id="t">${frame}</template><p id="told">nothing ran</p><div id="box"></div><script>
      const attempt = (name, what) => { try { told.push(name + ' ' + what()) } catch (error) { told.push(name + ' ' + error.name) } }
      const bare = () => document.body.appendChild(document.createElement('iframe'))
      attempt('page', () => typeof RTCPeerConnection)
      attempt('again', () => { delete window.RTCPeerConnection; return typeof RTCPeerConnection })
      attempt('blank', () => typeof bare().contentWindow.RTCPeerConnection)
      attempt('markup', () => { document.getElementById('box').innerHTML = ${inScript(frame)} })
      attempt('beside', () => document.body.insertAdjacentHTML('beforeend', ${inScript(frame)}))
      attempt('attribute', () => bare().setAttribute('srcdoc', ${inScript(inner)}))
      attempt('property', () => { bare().srcdoc = ${inScript(inner)} })
      attempt('address', () => { bare().src = 'javascript:' + ${inScript(code)} })
      attempt('clone', () => { document.body.append(document.getElementById('t').content.cloneNode(true)) })
      attempt('written', () => document.write(${inScript(frame)}))
      setTimeout(() => { document.getElementById('told').textContent = told.join(', ') }, 2000)
      </script></body></html>`,
    'drawing.svg': `<svg xmlns="http://www.w3.org/2000/svg"><script>${code}</script></svg>`,
  }
}

test('a student’s script reaches no other machine past the page’s policy, whatever frame it writes', async ({page}) => {
  await openInTray(page, 'Storm drill')
  const line = await drop(page, zip('dmarchbank.zip', connecting()), 'Dilys Marchbank', /checked/)
  await line.getByRole('link', {name: 'Dilys Marchbank'}).click()
  await page.getByRole('tab', {name: 'As seen'}).click()
  await page.getByLabel('Run scripts').check()

  const told = page.frameLocator('iframe').locator('#told')
  await expect(told).toHaveText(/^CSS1Compat, page undefined, again undefined, blank SecurityError/, {timeout: 15_000})
  await expect(told).not.toContainText(/a frame can\b/)
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
  const second = spawn(
    'php',
    ['artisan', 'queue:work', '--queue=default,second,later', '--sleep=0.1', '--max-time=30'],
    {stdio: 'ignore'},
  )
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
