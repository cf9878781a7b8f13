import {expect} from '@playwright/test'
import {broken} from './axe'
import {html, openDesk, test} from './desk'

test('the class on one sheet: a slip inked for all and taken back, and a square leads to its requirement', async ({
  page,
}) => {
  await page.getByRole('link', {name: 'Lamplighter'}).first().click()
  await page.getByRole('link', {name: 'Class sheet'}).click()
  const sheet = page.getByRole('grid', {name: 'Students down, requirements across'})
  await expect(sheet.getByRole('row', {name: /Abel Fennimore/})).toBeVisible()
  expect(await broken(page), 'class sheet').toEqual([])
  const names = () => sheet.getByRole('rowheader').allInnerTexts()
  const byName = await names()
  await page.keyboard.press('o')
  await expect.poll(names).not.toEqual(byName)
  await page.keyboard.press('o')
  await expect.poll(names).toEqual(byName)

  const slips = page.getByRole('region', {name: 'Commonest slips'})
  await slips.getByRole('listitem').first().getByRole('button').click()
  const ink = slips.getByRole('button', {name: /^Ink all \d+$/})
  const before = await ink.innerText()
  expect(await broken(page), 'a slip').toEqual([])
  await ink.click()
  await expect(slips.getByRole('status')).toContainText(/^Inked \d+ in \d+ hand-ins?\./)
  await slips.getByRole('button', {name: 'Undo'}).click()
  await expect(slips.getByRole('status')).toHaveCount(0)
  await expect(ink).toHaveText(before)

  // One stop of the Tab key, and arrow keys from there: a name, a square, the square below, whoever sent nothing passed
  // over.
  expect(await sheet.locator('tbody a[tabindex="0"]').count()).toBe(1)
  await sheet.getByRole('link', {name: 'Dilys Marchbank', exact: true}).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.locator('a:focus')).toHaveAccessibleName(/^Dilys Marchbank\. Eight stops: /)
  await page.keyboard.press('ArrowDown')
  await expect(page.locator('a:focus')).toHaveAccessibleName(/^Greta Lindqvay\. Eight stops: /)
  expect(await sheet.locator('tbody a[tabindex="0"]').count()).toBe(1)

  await sheet
    .getByRole('link', {name: /^Abel Fennimore\. /})
    .first()
    .click()
  await expect(page.getByRole('region', {name: 'Points'}).getByRole('button', {name: 'Fold'})).toBeVisible()
  await page.goBack()
  await expect(sheet.getByRole('row', {name: /Abel Fennimore/})).toBeVisible()
})

test('all replies that are ready are released after one honest question', async ({page}) => {
  await openDesk(page, {'index.html': html('<h1>Round</h1>\n<img src="a.png">'), 'a.png': 'x'})
  await page.goBack()
  await page.goto(page.url().replace('in-tray', 'class-sheet'))
  await page.getByRole('button', {name: 'Release replies'}).click()
  const dialog = page.getByRole('dialog', {name: 'Release replies'})
  await expect(dialog).toContainText('1 reply will go out.')
  await expect(dialog).toContainText('In 1 of them there is still pencil, which the student will not see.')
  expect(await broken(page), 'the question').toEqual([])
  await dialog.getByLabel(/^Abel Fennimore/).uncheck()
  await expect(dialog.getByRole('button', {name: 'Release 0'})).toBeDisabled()
  await dialog.getByLabel(/^Abel Fennimore/).check()
  await dialog.getByRole('button', {name: 'Release 1'}).click()
  await expect(dialog.getByRole('status')).toHaveText('1 reply released.')
  await dialog.getByRole('button', {name: 'Close'}).click()
  await expect(page.getByText('1 reply released')).toBeVisible()
})
