import {mkdtempSync, writeFileSync} from 'node:fs'
import {tmpdir} from 'node:os'
import {join} from 'node:path'
import {expect} from '@playwright/test'
import {broken} from './axe'
import {html, test, zip} from './desk'

test('the zip of a class is dropped, settled from the keyboard, and taken back', async ({page}) => {
  const title = `Collecting ${Date.now().toString(36)}`
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Set new work'}).click()
  await page.getByLabel('Title').fill(title)
  await page.getByRole('button', {name: 'Set it'}).click()
  await page.getByRole('link', {name: 'Open the in-tray'}).click()
  const site = (name: string) => ({[`hand-ins/${name}/index.html`]: html(`<h1>${name}</h1>`)})
  const all = ['afennimore', 'Castlewick Briony', 'cvasey', 'penhal site', 'orrel pages'].map(site)
  const rar = join(mkdtempSync(join(tmpdir(), 'margin-')), 'more.rar')
  writeFileSync(rar, 'Rar!')
  const whole = zip('class.zip', Object.assign({}, ...all) as Record<string, string>)
  await page.getByTestId('zips').setInputFiles([whole, rar])
  await expect(page.getByText('2 files taken.')).toBeVisible()
  await expect(page.getByText('is a RAR archive, and only zip is read here')).toBeVisible()
  await expect(page.getByText('The archive of a class')).toBeVisible()
  for (const name of ['Abel Fennimore', 'Briony Castlewick', 'Corin Vasey'])
    await expect(page.getByRole('listitem').filter({hasText: name})).toBeVisible({timeout: 20_000})

  const whose = page.getByRole('region', {name: 'Whose are these?'})
  await expect(whose.getByRole('combobox')).toHaveCount(2)
  expect(await broken(page), 'unmatched').toEqual([])
  await whose.getByRole('combobox').first().focus()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(whose.getByRole('combobox')).toHaveCount(1)
  // The next one is at hand without reaching for it.
  await expect(whose.getByRole('combobox')).toBeFocused()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(whose).toHaveCount(0)
  await expect(page.getByRole('listitem').filter({hasText: 'Hollis Penhale'})).toBeVisible()
  await expect(page.getByRole('listitem').filter({hasText: 'Fabian Orrell'})).toBeVisible()

  await page.getByRole('button', {name: 'paste their addresses'}).click()
  const lines = page.getByLabel(/A line for each/)
  await lines.fill('nobody https://cvasey.wrenquay.example/round/')
  await page.getByRole('button', {name: 'Fetch them'}).click()
  await expect(page.getByRole('alert')).toHaveText(
    /Line 1: “nobody” is not one student of the roster\.\s*Nothing was taken\./,
  )
  expect(await broken(page), 'addresses').toEqual([])
  await lines.fill('Corin Vasey  https://cvasey.wrenquay.example/round/')
  await page.getByRole('button', {name: 'Fetch them'}).click()
  await expect(page.getByText('1 site will be fetched.')).toBeVisible()
  await expect(page.getByRole('listitem').filter({hasText: 'attempt 2'})).toContainText('Corin Vasey')
  await page.getByRole('button', {name: 'Take this drop back'}).click()
  await expect(page.getByText('1 file taken back.')).toBeVisible()

  await page.getByRole('button', {name: 'Take this drop back'}).click()
  await expect(page.getByText('7 files taken back.')).toBeVisible()
  await expect(page.getByText('Nothing yet.')).toBeVisible()
})
