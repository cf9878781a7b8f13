// What Debian's Chromium makes of pages: reads a JSON list of {html, selectors} or {url, properties}, and prints a line
// for each. Of selectors the numbers of the elements that match each, or null when it is refused; of properties the
// computed values of every element, in document order.
import {readFileSync} from 'node:fs'
import {chromium} from 'playwright-core'

const browser = await chromium.launch({executablePath: '/usr/bin/chromium', args: ['--no-sandbox']})
const page = await browser.newPage({viewport: {width: 1280, height: 800}, javaScriptEnabled: false})
await page.route('**', route => (/^(file|data|about):/.test(route.request().url()) ? route.continue() : route.abort()))
for (const {html, selectors, url, properties} of JSON.parse(readFileSync(0, 'utf8'))) {
  if (html === undefined) await page.goto(url, {waitUntil: 'load'})
  else await page.setContent(html)
  const answer = await page.evaluate(
    ({selectors, properties}) => {
      const all = [...document.querySelectorAll('*')]
      if (properties !== undefined)
        return all.map(element => {
          const style = getComputedStyle(element)
          return [element.localName, ...properties.map(property => style.getPropertyValue(property))]
        })
      const number = new Map(all.map((element, index) => [element, index]))
      return selectors.map(selector => {
        try {
          return [...document.querySelectorAll(selector)].map(element => number.get(element))
        } catch {
          return null
        }
      })
    },
    {selectors, properties},
  )
  console.log(JSON.stringify(answer))
}
await browser.close()
