import AxeBuilder from '@axe-core/playwright'
import type {Page} from '@playwright/test'

/**
 * Source: axe-core's rules for WCAG 2.2 A and AA (npm, @axe-core/playwright 4.13.0). Student pages are not ours to
 * mend.
 */
export async function broken(page: Page) {
  await settled(page)
  const {violations} = await new AxeBuilder({page})
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .exclude('iframe')
    .exclude('.swatch')
    .analyze()
  return violations.map(({id, nodes}) => `${id}: ${nodes.map(node => node.html).join(' ')}`)
}

/** What fades in or out would be measured in colours that nobody reads. */
const settled = (page: Page) =>
  page.waitForFunction(() => document.getAnimations().every(({playState}) => playState !== 'running'))
