import {readFileSync} from 'node:fs'
import {expect, type Page} from '@playwright/test'
import {drop, html, openInTray, test, zip} from './desk'

async function openDesk(page: Page, assignment: string, student: string, view: string) {
  await page.goto('/')
  await page.getByRole('link', {name: assignment}).click()
  await page.getByRole('link', {name: student}).first().click()
  await page.getByRole('tab', {name: view}).click()
}

test('the map of a ring: a break is drawn, leads to its line, and is in the table too', async ({page}) => {
  await openDesk(page, 'Lamplighter', 'Abel Fennimore', 'Page map')
  await expect(page.getByText('The brief asks for a ring: 15 of 16 links are there')).toBeVisible()
  const slips = page.getByRole('group', {name: 'Page map'}).getByRole('button', {name: /\.html, Lamplighter/})
  await expect(slips).toHaveCount(8)
  const broken = page.getByRole('button', {name: /stop-8.html, line 19: “On” was to lead to index.html/})
  await broken.press('Enter')
  await expect(page).toHaveURL(/leaf=stop-8.html.*line=19/)
  await expect(page.getByRole('region', {name: 'Margin', exact: true})).toContainText(
    'By the order of the pages it should lead to index.html',
  )

  await page.goBack()
  await page.getByRole('button', {name: 'stop-3.html, '}).press('Enter')
  await expect(page).toHaveURL(/leaf=stop-3.html/)
  await expect(page.getByRole('button', {name: 'stop-3.html, '})).toHaveAttribute('aria-current', 'page')
  await page.getByRole('button', {name: 'As a table'}).click()
  await expect(page.getByRole('row', {name: /^stop-8.html/})).toContainText('index.html (broken)')
})

test('the map has an address of its own, and is given out as SVG', async ({page}) => {
  await openDesk(page, 'Storm drill', 'Juno Ashgrove', 'Page map')
  await page.getByRole('link', {name: 'Full width'}).click()
  await expect(page).toHaveURL(/\/hand-ins\/[^/]+\/map/)
  await expect(page.getByRole('button', {name: /house.html.*no way from home/})).toBeVisible()
  await page.reload()
  await expect(page.getByText('No way from the home page leads here')).toBeVisible()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', {name: 'Save as SVG'}).click(),
  ])
  const svg = readFileSync(await download.path(), 'utf8')
  expect(svg).toContain('xmlns="http://www.w3.org/2000/svg"')
  expect(svg).toContain('house.html')
  expect(svg).not.toContain('var(--')
  await page.keyboard.press('d')
  await expect(page.getByRole('tab', {name: 'Page map'})).toHaveAttribute('aria-selected', 'true')
})

test('menus and pages beside each other show what differs, and lead to it', async ({page}) => {
  await openDesk(page, 'Island almanac', 'Dilys Marchbank', 'Menus')
  const menus = page.getByRole('table', {name: 'The menus of all pages'})
  await expect(menus.getByRole('row', {name: /^pages\/kitchen.html/})).toContainText('missing')
  await expect(menus.getByRole('row', {name: /^pages\/calendar.html/})).toContainText('leads to birds.html')
  await menus
    .getByRole('row', {name: /^pages\/calendar.html/})
    .getByRole('button', {name: 'Tides'})
    .click()
  await expect(page).toHaveURL(/leaf=pages%2Fcalendar.html.*line=17|line=17.*leaf=pages%2Fcalendar.html/)
  await page.keyboard.press('7')
  const compared = page.getByRole('table', {name: 'The pages compared'})
  await expect(compared.getByRole('row', {name: /^pages\/birds.html/})).toContainText('Marrow Sound - Tides')
})

test('of a site with many pages the neighbours of one page are drawn', async ({page}) => {
  const pages = Object.fromEntries(
    Array.from({length: 70}, (_, number) => [
      number === 0 ? 'index.html' : `p${number}.html`,
      html(`<p><a href="p${number + 1}.html">On</a></p>`, `Storm drill - ${number}`),
    ]),
  )
  await openInTray(page, 'Storm drill')
  const line = await drop(page, zip('hpenhale.zip', pages), 'Hollis Penhale', /checked/)
  await line.getByRole('link', {name: 'Hollis Penhale'}).click()
  await page.getByRole('tab', {name: 'Page map'}).click()
  await expect(page.getByText('index.html and 1 of the 69 other pages')).toBeVisible()
  await page.getByLabel('Show the neighbours of').fill('p40.html')
  await page.getByRole('option', {name: 'p40.html'}).click()
  await expect(page.getByRole('button', {name: /^p(39|40|41).html, Storm/})).toHaveCount(3)
})

test('the stylesheets show what their rules reach, and lead to the line', async ({page}) => {
  await openDesk(page, 'Island almanac', 'Lorna Dewhirst', 'Sheets')
  const colours = page.getByRole('listitem').filter({hasText: '#9fb3a6 on #eef3f7'})
  await expect(colours).toContainText('1.98:1, needs 4.5:1')
  const rules = page.getByRole('table', {name: 'The rules of styles/site.css'})
  await expect(rules.getByRole('row', {name: /#note/})).toContainText('nothing')
  await expect(rules.getByRole('row', {name: /^24 main p/})).toContainText(/elements on 6 pages/)
  await rules.getByRole('button', {name: '#note'}).click()
  await expect(page).toHaveURL(/leaf=styles%2Fsite.css/)
  await expect(page.getByRole('region', {name: 'Margin', exact: true})).toContainText('No element has #note')
})

test('a page is seen without its styles, at other widths, and says of an element why it looks so', async ({page}) => {
  await openDesk(page, 'Island almanac', 'Lorna Dewhirst', 'As seen')
  const seen = page.frameLocator('iframe')
  const heading = seen.getByRole('heading', {level: 1})
  // The frame is another one for a moment whenever its styles change.
  const isPalatino = () =>
    heading.evaluate(element => getComputedStyle(element).fontFamily.includes('Palatino')).catch(() => 'is changing')
  await expect.poll(isPalatino).toBe(true)
  await page.getByLabel('In these styles').selectOption('no styles')
  await expect.poll(isPalatino).toBe(false)
  await page.getByLabel('In these styles').selectOption('styles/site.css alone')
  await expect.poll(isPalatino).toBe(true)
  await page.getByLabel('on a page so wide').selectOption('desk, 1280 px')
  await expect.poll(() => heading.evaluate(() => innerWidth)).toBe(1280)
  await page.getByLabel('on a page so wide').selectOption('telephone, 390 px')
  await expect.poll(() => heading.evaluate(() => innerWidth)).toBe(390)

  await page.getByLabel('In these styles').selectOption('its own styles')
  await page.getByLabel('Point at elements').check()
  const looks = page.getByRole('region', {name: 'The element pointed at'})
  await expect(looks.getByRole('heading')).toHaveText('<body>')
  await seen.getByRole('link', {name: 'Tides'}).first().click()
  await expect(looks.getByRole('heading')).toHaveText('<a>')
  await expect(looks).toContainText('Font Palatino, serif, from styles/site.css, line 4 body, inherited from <body>')
  await looks.getByRole('button', {name: 'Around it'}).click()
  await expect(looks.getByRole('heading')).toHaveText('<li>')
  await looks
    .getByRole('button', {name: /^styles\/site.css, line/})
    .first()
    .click()
  await expect(page).toHaveURL(/leaf=styles%2Fsite.css/)
})
