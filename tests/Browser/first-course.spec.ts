import {createHmac} from 'node:crypto'
import {expect, test, type Page} from '@playwright/test'
import {broken} from './axe'
import {drop, html, zip} from './desk'

/** A server of its own, with nothing in its database and no demo. */
const EMPTY = process.env.MARGIN_EMPTY_URL

const STARTER = {'index.html': html('<h1>Almanac</h1>', 'Almanac')}

const MODEL = {
  'index.html': html('<h1>Almanac</h1><p><a href="tides.html">Tides</a></p>', 'Almanac - Home'),
  'tides.html': html('<h1>Tides</h1><p><a href="index.html">Home</a></p>', 'Almanac - Tides'),
}

const asked = (page: Page, name: string) =>
  page.getByRole('list', {name: 'What is asked'}).getByRole('listitem').filter({hasText: name})

test.use({baseURL: EMPTY})
test.skip(EMPTY === undefined, 'bin/test starts the empty installation that this needs')

async function logIn(page: Page) {
  await page.goto('/log-in')
  await page.getByLabel('E-mail').fill('ada@wrenquay.invalid')
  await page.getByLabel('Password').fill('ink-and-pencil')
  await page.getByRole('button', {name: 'Log in'}).click()
  await expect(page.getByRole('heading', {name: 'What waits for you'})).toBeVisible()
}

test('from the empty database to a hand-in that is checked', async ({page}) => {
  await page.goto('/')
  await expect(page.getByText('Nobody has an account here yet.')).toBeVisible()
  expect(await broken(page), 'first account').toEqual([])
  await page.getByLabel('Name').fill('Ada Quill')
  await page.getByLabel('E-mail').fill('ada@wrenquay.invalid')
  await page.getByLabel('Password').fill('short')
  await page.getByRole('button', {name: 'Make the account'}).click()
  await expect(page.getByText('A password has 10 characters or more.')).toBeVisible()
  await page.getByLabel('Password').fill('ink-and-pencil')
  await page.getByRole('button', {name: 'Make the account'}).click()

  await page.getByRole('link', {name: 'New course'}).click()
  expect(await broken(page), 'new course').toEqual([])
  await page.getByRole('button', {name: 'Make the course'}).click()
  await expect(page.getByText('Type what the course is called.')).toBeVisible()
  await page.getByLabel('Title').fill('Web Craft 2')
  await page.getByLabel('Time zone').selectOption('Europe/Berlin')
  await page.getByRole('button', {name: 'Make the course'}).click()

  await page.getByRole('link', {name: 'Change it'}).click()
  await page
    .getByLabel('Paste from a spreadsheet')
    .fill('Student number\tName\n2026001\tFinch, Willa\n2026002\tVoss, Orla\n2026002\tOrla again\n\tNo Number\n')
  expect(await broken(page), 'roster pasted').toEqual([])
  await page.getByRole('button', {name: 'See what it says'}).click()
  await expect(page.getByRole('status').filter({hasText: 'lines'})).toHaveText('4 lines: 2 new, 1 doubled, 1 not read.')
  expect(await broken(page), 'roster understood').toEqual([])
  await page.getByRole('button', {name: 'Keep this roster'}).click()
  await page.getByRole('button', {name: 'Edit Orla Voss'}).click()
  await page.getByLabel('Group').fill('B')
  expect(await broken(page), 'roster changed').toEqual([])
  await page.getByRole('button', {name: 'Save', exact: true}).click()
  await expect(page.getByRole('row', {name: /Orla Voss 2026002 B/})).toBeVisible()

  await page.getByRole('link', {name: 'Web Craft 2'}).click()
  await page.getByRole('link', {name: 'Set new work'}).click()
  expect(await broken(page), 'new work').toEqual([])
  await page.getByLabel('Title').fill('Island almanac')
  await page.getByLabel('Due', {exact: true}).fill('2027-03-01T18:00')
  await page.getByRole('button', {name: 'Set it'}).click()
  await page.getByRole('link', {name: 'Assignment settings'}).click()
  await page.getByLabel('Attempts').fill('2')
  await page.getByLabel('What students see').selectOption('Each requirement with its outcome')
  await page.getByRole('button', {name: 'Keep', exact: true}).click()
  await expect(page.getByText('2 attempts at most')).toBeVisible()
  await page.getByRole('link', {name: 'Assignment settings'}).click()
  await page.getByLabel('Files: starter files').setInputFiles(zip('starter.zip', STARTER))
  await expect(page.getByText('1 file: index.html')).toBeVisible()
  await page.getByLabel('Files: model answer').setInputFiles(zip('model.zip', MODEL))
  await page.getByText('2 files: index.html, tides.html').waitFor()

  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Write it'}).click()
  await page.getByRole('button', {name: 'Propose from the model answer'}).click()
  const pencil = page.getByRole('region', {name: 'In pencil'})
  await expect(pencil.getByRole('listitem').first()).toContainText('met: 2 of 2')
  expect(await broken(page), 'sentences in pencil').toEqual([])
  await pencil.getByRole('button', {name: 'Rub out Indented markup'}).click()
  await pencil.getByRole('button', {name: 'Ink Titles'}).click()
  await expect(asked(page, 'Titles')).toContainText('met')
  await pencil.getByRole('button', {name: 'Ink The files are there'}).click()
  await pencil.getByRole('button', {name: 'Rub out all'}).click()
  await expect(pencil).toHaveCount(0)

  await asked(page, 'The files are there')
    .getByRole('button', {name: /^The files/})
    .click()
  await asked(page, 'The files are there').getByLabel('points').fill('4')
  await asked(page, 'Titles')
    .getByRole('button', {name: /^Titles/})
    .click()
  await asked(page, 'Titles').getByLabel('points').fill('2')
  await expect(page.getByText('2 sentences, 6 points in all; 6 of 6 here')).toBeVisible()
  await expect(page.getByRole('contentinfo')).toContainText('kept at')
  await page.getByRole('button', {name: 'Use this brief'}).click()
  await expect(page.getByText('Version 1, 6 points in all')).toBeVisible()

  await page.getByRole('link', {name: 'Open the in-tray'}).click()
  await drop(page, zip('2026001.zip', {'index.html': html('<h1>Almanac</h1>')}), 'Willa Finch', /checked/)
  await page.getByRole('link', {name: 'Willa Finch'}).click()
  await expect(page.getByText('2 of 6 points')).toBeVisible()
})

test('a marker is asked, makes an account by the link, and marks without setting work', async ({page, browser}) => {
  await logIn(page)
  await page
    .getByRole('main')
    .getByRole('link', {name: /Web Craft 2/})
    .click()
  await page.getByRole('link', {name: 'The course itself'}).click()
  await page.getByLabel('E-mail of the person to invite').fill('mo@wrenquay.invalid')
  await page.getByRole('button', {name: 'Invite'}).click()
  const told = await page.getByRole('status').filter({hasText: 'This server sends no mail'}).textContent()
  const link = /https?:\S+/.exec(told ?? '')?.[0] ?? ''
  await expect(page.getByRole('row', {name: /invited until .* mo@wrenquay.invalid/})).toBeVisible()
  await page.getByRole('button', {name: 'Remove Ada Quill'}).click()
  await expect(page.getByText('A course needs an instructor. Nothing was changed.')).toBeVisible()

  const marker = await (await browser.newContext({viewport: {width: 1280, height: 800}})).newPage()
  await marker.goto(link)
  await expect(marker.getByText('Ada Quill asks you to mark hand-ins in Web Craft 2.')).toBeVisible()
  expect(await broken(marker), 'invitation').toEqual([])
  await marker.getByLabel('Name').fill('Mo Marker')
  await marker.getByLabel('Password').fill('pencil-and-ink')
  await marker.getByRole('button', {name: 'Make the account'}).click()
  await marker
    .getByRole('main')
    .getByRole('link', {name: /Web Craft 2/})
    .click()
  await expect(marker.getByRole('heading', {name: 'Web Craft 2'})).toBeVisible()
  await expect(marker.getByRole('link', {name: 'Set new work'})).toHaveCount(0)
  await marker.goto(link)
  await expect(marker.getByText('This invitation was used')).toBeVisible()

  await page.reload()
  await expect(page.getByText('Ada Quill asked somebody to help.')).toBeVisible()
  await page.getByLabel('Role of Mo Marker').selectOption('instructor: all of it')
  await expect(page.getByText('invited until')).toHaveCount(0)
  await marker.goto('/')
  await marker
    .getByRole('main')
    .getByRole('link', {name: /Web Craft 2/})
    .click()
  await expect(marker.getByRole('link', {name: 'Set new work'})).toBeVisible()
})

test('one’s own name and password are changed, and the old one does not work any more', async ({page}) => {
  await logIn(page)
  await page.getByRole('link', {name: 'Ada Quill'}).click()
  expect(await broken(page), 'you').toEqual([])
  await page.getByLabel('Name').fill('Ada Q.')
  await page.getByLabel('New password').fill('ink-and-paper-too')
  await page.getByRole('button', {name: 'Save'}).click()
  await expect(page.getByText('Enter your current password too.')).toBeVisible()
  await page.getByLabel('Current password').fill('ink-and-pencil')
  await page.getByRole('button', {name: 'Save'}).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.getByRole('button', {name: 'Log out'}).click()
  await page.getByLabel('E-mail').fill('ada@wrenquay.invalid')
  await page.getByLabel('Password').fill('ink-and-pencil')
  await page.getByRole('button', {name: 'Log in'}).click()
  await expect(page.getByText('That address and password do not belong together.')).toBeVisible()
  await page.getByRole('button', {name: 'I forgot my password'}).click()
  await expect(page.getByText('a letter is on its way')).toBeVisible()
  await page.getByLabel('Password').fill('ink-and-paper-too')
  await page.getByRole('button', {name: 'Log in'}).click()
  await page.getByRole('link', {name: 'Ada Q.'}).click()
  await page.getByRole('link', {name: 'the outbox'}).click()
  const letter = page.getByRole('article', {name: 'Set another password'})
  await expect(letter).toContainText('To ada@wrenquay.invalid')
  expect(await broken(page), 'outbox').toEqual([])
  await page.goto('/')
  await page.getByRole('link', {name: 'Ada Q.'}).click()
  await page.getByLabel('New password').fill('ink-and-pencil')
  await page.getByLabel('Current password').fill('ink-and-paper-too')
  await page.getByRole('button', {name: 'Save'}).click()
  await expect(page.getByText('Saved.')).toBeVisible()
})

test('a code from an app is asked for once it is set up, and a recovery code works once', async ({page}) => {
  await logIn(page)
  await page.getByRole('link', {name: /Ada Q/}).click()
  const steps = page.getByRole('form', {name: 'Two-step log-in'})
  await steps.getByLabel('Your password').fill('ink-and-pencil')
  await steps.getByRole('button', {name: 'Set it up'}).click()
  await expect(page.getByRole('img', {name: 'QR code of the key'})).toBeVisible()
  expect(await broken(page), 'setting it up').toEqual([])
  const secret = (
    (await page
      .locator('code')
      .filter({hasText: /^[A-Z2-7 ]{39}$/})
      .textContent()) ?? ''
  ).replaceAll(' ', '')
  await page.getByLabel('Code', {exact: true}).fill('000000')
  await page.getByRole('button', {name: 'Turn on'}).click()
  await expect(page.getByText('This is not the code that the app shows now.')).toBeVisible()
  await page.getByLabel('Code', {exact: true}).fill(totp(secret))
  await page.getByRole('button', {name: 'Turn on'}).click()
  const recovery = await page.getByRole('status').getByRole('listitem').first().textContent()
  expect(await broken(page), 'recovery codes').toEqual([])

  await page.getByRole('button', {name: 'Log out'}).click()
  for (const works of [true, false]) {
    await page.getByLabel('E-mail').fill('ada@wrenquay.invalid')
    await page.getByLabel('Password').fill('ink-and-pencil')
    await page.getByRole('button', {name: 'Log in'}).click()
    await expect(page.getByText('Enter the six digits from your authenticator app')).toBeVisible()
    await page.getByLabel(/^Code/).fill(recovery ?? '')
    await page.getByRole('button', {name: 'Log in'}).click()
    if (!works) break
    await page.getByRole('button', {name: 'Log out'}).click()
  }
  await expect(page.getByText('This code is wrong, or was used already.')).toBeVisible()
  await page.getByLabel(/^Code/).fill(totp(secret, 1))
  await page.getByRole('button', {name: 'Log in'}).click()
  await page.getByRole('link', {name: /Ada Q/}).click()
  await page.getByRole('button', {name: /^Turn off/}).click()
  await steps.getByLabel('Your password').fill('ink-and-pencil')
  await steps.getByRole('button', {name: 'Turn off'}).click()
  await expect(steps.getByRole('button', {name: 'Set it up'})).toBeVisible()
})

/** The code of a secret in Base32, so many steps from now (RFC 6238). */
function totp(secret: string, later = 0): string {
  const bits = Array.from(secret, letter =>
    'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(letter).toString(2).padStart(5, '0'),
  )
  const key = Buffer.from((bits.join('').match(/.{8}/g) ?? []).map(byte => parseInt(byte, 2)))
  const step = Buffer.alloc(8)
  step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + later))
  const hash = createHmac('sha1', key).update(step).digest()
  const at = (hash[19] ?? 0) & 15
  return String((hash.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0')
}

test('once there is an account, nobody is offered the first one', async ({page}) => {
  await page.goto('/log-in')
  await expect(page.getByRole('button', {name: 'Log in'})).toBeVisible()
  await expect(page.getByText('Nobody has an account')).toHaveCount(0)
})

test('a course is put away, brought back, carried over, and deleted by its name', async ({page}) => {
  await page.goto('/log-in')
  await page.getByLabel('E-mail').fill('ada@wrenquay.invalid')
  await page.getByLabel('Password').fill('ink-and-pencil')
  await page.getByRole('button', {name: 'Log in'}).click()
  await page
    .getByRole('main')
    .getByRole('link', {name: /Web Craft 2/})
    .click()
  await page.getByRole('link', {name: 'The course itself'}).click()
  await expect(page.getByRole('heading', {name: 'The course itself'})).toBeVisible()
  expect(await broken(page), 'the course itself').toEqual([])
  await page.getByRole('button', {name: 'Put it away'}).click()
  await expect(page.getByRole('button', {name: 'Bring it back'})).toBeVisible()

  const carry = page.getByRole('form', {name: 'Carry over'})
  await carry.getByLabel('Title').fill('Web Craft 2, again')
  await carry.getByLabel('Due times move by').fill('52')
  await carry.getByRole('button').click()
  await expect(page.getByRole('heading', {name: 'Web Craft 2, again'})).toBeVisible()
  await expect(page.getByText('due Mon 28 Feb 2028, 17:00')).toBeVisible()
  await expect(page.getByText('No students yet.')).toBeVisible()

  await page.goto('/')
  await page.getByText('Put away:').getByRole('link', {name: 'Web Craft 2'}).click()
  await page.getByRole('link', {name: 'The course itself'}).click()
  await page.getByLabel('Type the name of the course').fill('Web Craft')
  await page.getByRole('button', {name: 'Delete the course'}).click()
  await expect(page.getByText('That is not its name. Nothing was deleted.')).toBeVisible()
  await page.getByLabel('Type the name of the course').fill('Web Craft 2')
  await page.getByRole('button', {name: 'Delete the course'}).click()
  await expect(page.getByRole('heading', {name: 'What waits for you'})).toBeVisible()
  await expect(page.getByText('Put away:')).toHaveCount(0)
})
