import {expect} from '@playwright/test'
import {broken} from './axe'
import {test} from './desk'

test('the class on one sheet: a slip inked for all and taken back, and a square leads to its requirement', async ({
  page,
}) => {
  await page.getByRole('link', {name: 'Lamplighter'}).first().click()
  await page.getByRole('link', {name: 'Class sheet'}).click()
  const sheet = page.getByRole('table', {name: 'Students down, requirements across'})
  await expect(sheet.getByRole('row', {name: /Abel Fennimore/})).toBeVisible()
  expect(await broken(page), 'class sheet').toEqual([])
  const names = () => sheet.getByRole('rowheader').allInnerTexts()
  const byName = await names()
  await page.keyboard.press('o')
  await expect.poll(names).not.toEqual(byName)
  await page.keyboard.press('o')
  await expect.poll(names).toEqual(byName)

  const slips = page.getByRole('region', {name: 'Commonest slips'})
  await slips.getByRole('button').first().click()
  const ink = slips.getByRole('button', {name: /^Ink all \d+$/})
  const before = await ink.innerText()
  expect(await broken(page), 'a slip').toEqual([])
  await ink.click()
  await expect(slips.getByRole('status')).toContainText(/^Inked \d+ in \d+ hand-ins?\./)
  await slips.getByRole('button', {name: 'Undo'}).click()
  await expect(slips.getByRole('status')).toHaveCount(0)
  await expect(ink).toHaveText(before)

  await sheet
    .getByRole('link', {name: /^Abel Fennimore\. /})
    .first()
    .click()
  await expect(page.getByRole('region', {name: 'Points'}).getByRole('button', {name: 'Fold'})).toBeVisible()
  await page.goBack()
  await expect(sheet.getByRole('row', {name: /Abel Fennimore/})).toBeVisible()
})
