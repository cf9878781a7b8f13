import AxeBuilder from '@axe-core/playwright'
import {expect, type Page} from '@playwright/test'
import {test} from './desk'

/** Source: axe-core's rules for WCAG 2.2 A and AA (npm, @axe-core/playwright 4.13.0). Student pages are not ours to mend. */
async function broken(page: Page) {
  const {violations} = await new AxeBuilder({page})
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .exclude('iframe')
    .analyze()
  return violations.map(({id, nodes}) => `${id}: ${nodes.map(node => node.html).join(' ')}`)
}

for (const lamp of [false, true]) {
  test(`every screen keeps to WCAG 2.2 AA ${lamp ? 'by lamp' : 'by daylight'}`, async ({page}) => {
    if (lamp) await page.getByRole('button', {name: 'Lamp'}).click()
    expect(await broken(page), 'shelf').toEqual([])
    await page.getByRole('main').getByRole('link', {name: 'Web Craft 1'}).click()
    await expect(page.getByRole('heading', {name: 'Roster'})).toBeVisible()
    expect(await broken(page), 'course').toEqual([])
    await page.getByRole('link', {name: 'Island almanac'}).click()
    await expect(page.getByRole('heading', {name: 'The brief'})).toBeVisible()
    expect(await broken(page), 'assignment').toEqual([])
    await page.keyboard.press('t')
    await expect(page.getByRole('heading', {name: 'What came in'})).toBeVisible()
    expect(await broken(page), 'in-tray').toEqual([])
    await page.getByRole('link', {name: 'Dilys Marchbank'}).click()
    await page.getByRole('link', {name: 'pages/crossings.html'}).click()
    await expect(page.getByRole('list', {name: 'Source'})).toBeVisible()
    await page.getByRole('button', {name: 'Unfold'}).click()
    await page
      .getByRole('region', {name: 'Margin', exact: true})
      .getByRole('button', {name: /^Ink(ed)?$/})
      .first()
      .click()
    await page.keyboard.press('m')
    await expect(page.getByRole('textbox', {name: /Note at line|Note on/})).toBeVisible()
    expect(await broken(page), 'desk').toEqual([])
    await page.getByRole('button', {name: 'Discard'}).click()
    await page.keyboard.press('2')
    await expect(page.locator('iframe')).toBeVisible()
    expect(await broken(page), 'as seen').toEqual([])
    await page.keyboard.press('4')
    await expect(page.getByRole('button', {name: /^index.html, /})).toBeVisible()
    expect(await broken(page), 'page map').toEqual([])
    await page.getByRole('button', {name: 'As a table'}).click()
    expect(await broken(page), 'page map as a table').toEqual([])
    await page.keyboard.press('5')
    await expect(page.getByRole('table', {name: 'The menus of all pages'})).toBeVisible()
    expect(await broken(page), 'menus').toEqual([])
    await page.keyboard.press('6')
    await expect(page.getByRole('table', {name: 'The pages compared'})).toBeVisible()
    expect(await broken(page), 'pages compared').toEqual([])
    await page.keyboard.press('r')
    await expect(page.getByRole('article')).toBeVisible()
    expect(await broken(page), 'reply').toEqual([])
    await page.keyboard.press('?')
    await expect(page.getByRole('dialog')).toBeVisible()
    await page.waitForTimeout(400)
    expect(await broken(page), 'keys').toEqual([])
  })
}
