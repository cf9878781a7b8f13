import {expect} from '@playwright/test'
import {broken} from './axe'
import {test} from './desk'

test('a remark is kept in stock, found again by a few letters, and has its blanks filled in', async ({page}) => {
  await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Stock remarks'}).click()
  const another = page.getByRole('form', {name: 'Another remark'})
  await another.getByRole('button', {name: 'Keep'}).click()
  await expect(another).toContainText('The remark is empty.')
  await another.getByLabel('Remark').fill('{student.first}, look at `<{element}>` in {file}, line {line}.')
  await another.getByRole('button', {name: 'Keep'}).click()
  const list = page.getByRole('list', {name: 'Stock remarks'})
  await expect(list).toContainText('shared in the course, not used yet')
  expect(await broken(page), 'stock remarks').toEqual([])

  await page.goto('/')
  await page.getByRole('link', {name: 'Island almanac'}).click()
  await page.getByRole('link', {name: 'Briony Castlewick'}).click()
  await page.getByRole('link', {name: /^index\.html/}).click()
  await page.keyboard.press('n')
  await expect(page).toHaveURL(/mark=/)
  await page.keyboard.press('r')
  await expect(page.getByRole('combobox', {name: 'Stock remark'})).toBeFocused()
  expect(await broken(page), 'a stock remark is looked for').toEqual([])
  await page.keyboard.type('look at')
  await page.keyboard.press('Enter')
  const note = page.getByLabel(/^Note at line/)
  await expect(note).toHaveValue(/^Briony, look at `<\w+>` in index\.html, line \d+\.$/)
  await note.press('End')
  await page.keyboard.type(' Again.')
  await page.keyboard.press('Control+Enter')
  await expect(note).toHaveCount(0)
  const kept = page.getByRole('region', {name: 'Margin'}).getByText('Again.')
  await kept.click()
  await page.keyboard.press('k')
  await expect(page.getByRole('contentinfo')).toContainText('Kept in stock')

  await page.getByRole('link', {name: 'Web Craft 1'}).click()
  await page.getByRole('link', {name: 'Stock remarks'}).click()
  await expect(list.getByRole('listitem').first()).toContainText('used 1 time')
  await expect(list).toContainText('Again.')
  for (let left = await list.getByRole('listitem').count(); left > 0; left--) {
    await list
      .getByRole('button', {name: /^Delete/})
      .first()
      .click()
    await expect(list.getByRole('listitem')).toHaveCount(left - 1)
  }
})
