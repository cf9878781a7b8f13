import {expect, type Page} from '@playwright/test'
import {broken} from './axe'
import {html, test, zip} from './desk'

/** As wide as a telephone. */
const NARROW = {width: 390, height: 760}

async function linkOf(page: Page, student: string) {
  await page.goto('/')
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Change it'}).click()
  await page.getByRole('link', {name: 'Students’ links'}).click()
  const line = page.getByRole('listitem').filter({hasText: student})
  await expect(line).toContainText('/my/')
  const text = (await line.textContent()) ?? ''
  return /https?:\S+\/my\/[\w-]{43}/.exec(text)?.[0] ?? ''
}

const site = (body: string, more: Record<string, string> = {}) =>
  zip('koakhanger.zip', {'index.html': html(`<main>${body}</main>`, 'Storm drill - Start'), ...more})

test('a student tries, mends, hands in by their own link, and reads the reply', async ({page, browser}) => {
  const link = await linkOf(page, 'Kit Oakhanger')
  expect(await broken(page), 'links').toEqual([])
  const student = await (await browser.newContext({viewport: NARROW, timezoneId: 'Europe/Berlin'})).newPage()
  await student.goto(link)
  await expect(student.getByRole('heading', {name: 'Web Craft 1'})).toBeVisible()
  expect(await broken(student), 'my page').toEqual([])
  await student.getByRole('link', {name: 'Storm drill'}).click()
  await expect(student.getByRole('timer')).toContainText('left. 0 of 5 attempts used.')
  await expect(student.getByRole('heading', {name: 'What is asked'})).toBeVisible()
  const width = await student.evaluate(() => document.documentElement.scrollWidth)
  expect(width, 'nothing is wider than a telephone').toBeLessThanOrEqual(NARROW.width)

  await student.getByLabel('A zip or files').setInputFiles(zip('notes.rar', {a: 'b'}))
  await student.getByLabel('A zip or files').setInputFiles(site('<p>It blows.</p><a herf="a.html">On</a>'))
  await expect(student.getByText('Chosen: koakhanger.zip.')).toBeVisible()
  await student.getByRole('button', {name: 'Try it first'}).click()
  await expect(student.getByText('This is what the check says.')).toBeVisible()
  await expect(student.getByRole('region', {name: 'index.html'})).toContainText('herf')
  expect(await broken(student), 'tried').toEqual([])
  await student.getByLabel('A zip or files').setInputFiles(site('<p>It blows.</p>'))
  await student.getByLabel('Note to your instructor').fill('The rest comes tomorrow.')
  await student.getByLabel('Published address').fill('my site')
  await student.getByRole('button', {name: 'Hand it in'}).click()
  await expect(student.getByText('Type the whole address')).toBeVisible()
  await student.getByLabel('Published address').fill('https://koakhanger.example/storm/')
  await student.getByRole('button', {name: 'Hand it in'}).click()
  await expect(student.getByRole('heading', {name: /^Attempt 1/})).toBeVisible()
  await expect(student.getByRole('timer')).toContainText('1 of 5 attempts used')
  await student.getByRole('button', {name: 'What the check says'}).click({timeout: 20_000})
  await expect(student.getByText('This is what the check says.')).toBeVisible()
  await student.getByLabel('A zip or files').setInputFiles({
    name: 'index.html',
    mimeType: 'text/html',
    buffer: Buffer.from(html('<main><p>Calm.</p></main>', 'Storm drill - Start')),
  })
  await expect(student.getByText('Chosen: 1 file from my site.')).toBeVisible()
  await student.getByRole('button', {name: 'Hand it in'}).click()
  await expect(student.getByRole('heading', {name: /^Attempt 2/})).toContainText('this one counts')
  await expect(student.getByText('Since the attempt before:')).toBeVisible({timeout: 20_000})
  expect(await broken(student), 'handed in').toEqual([])

  await page.goto('/')
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Storm drill'}).click()
  await page.getByRole('link', {name: 'Kit Oakhanger'}).click()
  await page.getByRole('link', {name: 'The whole hand-in'}).click()
  await page.getByRole('link', {name: 'attempt 1'}).click()
  await page.getByRole('link', {name: 'The whole hand-in'}).click()
  await expect(page.getByText('A note came with it: “The rest comes tomorrow.”')).toBeVisible()
  await expect(page.getByText('https://koakhanger.example/storm/')).toBeVisible()
  await page.getByRole('button', {name: 'Let this one count'}).click()
  await expect(page.getByText('It counts, because you chose it.')).toBeVisible()
  await page.keyboard.press('m')
  await page.getByLabel('Note on the whole hand-in').fill('Well begun.')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByText('to do, kept at')).toBeVisible()
  await page.keyboard.press('y')
  await page.getByRole('button', {name: 'Release', exact: true}).click()
  // Some of its points are not judged yet.
  await page.getByRole('button', {name: 'Release as it is'}).click()
  await expect(page.getByText(/^Released .*just as it stands here/)).toBeVisible()

  await student.reload()
  await expect(student.getByRole('heading', {name: /^Attempt 1/})).toContainText('this one counts')
  await student.getByRole('link', {name: 'Read your reply'}).click()
  await expect(student.getByText('Well begun.')).toBeVisible()
  expect(await broken(student), 'my reply').toEqual([])

  await linkOf(page, 'Kit Oakhanger')
  await page.getByLabel('Word to ask for').fill('lantern')
  await page.getByRole('button', {name: 'Turn on'}).click()
  const door = /https?:\S+\/join\/[\w-]{43}/.exec((await page.getByText('/join/').textContent()) ?? '')?.[0] ?? ''
  await student.goto(door)
  await student.getByLabel('Your handle').fill('nobody')
  await student.getByLabel('The word of the course').fill('Lantern')
  await student.getByRole('button', {name: 'To my page'}).click()
  await expect(student.getByText('That handle and word do not belong together.')).toBeVisible()
  expect(await broken(student), 'the link of a course').toEqual([])
  await student.getByLabel('Your handle').fill('KOakhanger')
  await student.getByRole('button', {name: 'To my page'}).click()
  await expect(student.getByRole('link', {name: 'Storm drill'})).toBeVisible()
  await page.getByRole('button', {name: 'Turn off'}).click()
  await expect(page.getByRole('button', {name: 'Turn on'})).toBeVisible()

  await page.getByRole('button', {name: 'Make a new link for Kit Oakhanger'}).click()
  await expect(page.getByRole('listitem').filter({hasText: 'Kit Oakhanger'})).not.toContainText(link)
  await student.goto(link)
  await expect(student.getByText('There is no page behind this link any more.')).toBeVisible()
})

test('a published site is handed in by its address, fetched, and read with what the server said', async ({
  page,
  browser,
}) => {
  const link = await linkOf(page, 'Hollis Penhale')
  const student = await (await browser.newContext({viewport: NARROW})).newPage()
  await student.goto(link)
  await student.getByRole('link', {name: 'Lamplighter'}).click()
  await student.getByRole('button', {name: 'Hand in the address of a published site'}).click()
  const form = student.getByRole('form', {name: 'By its address'})
  await form.getByLabel('The address of your site').fill('file:///C:/Users/me/round/index.html')
  await form.getByRole('button', {name: 'Hand in this address'}).click()
  await expect(form.getByRole('alert')).toContainText('on a computer that others cannot reach')
  expect(await broken(student), 'by address').toEqual([])
  await form.getByLabel('The address of your site').fill('https://cvasey.wrenquay.example/round/')
  await form.getByRole('button', {name: 'Hand in this address'}).click()
  await expect(student.getByRole('heading', {name: /^Attempt 1/})).toBeVisible({timeout: 20_000})
  await expect(student.getByText('https://cvasey.wrenquay.example/round/')).toBeVisible()

  await page.goto('/')
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Lamplighter'}).click()
  await page.getByRole('link', {name: 'Corin Vasey'}).click()
  await page.getByRole('link', {name: 'The whole hand-in'}).click()
  await expect(page.getByText('files asked for at https://cvasey.wrenquay.example/round/')).toBeVisible()
  await expect(page.getByText('A note came with it: “It works on my machine')).toBeVisible()
})
