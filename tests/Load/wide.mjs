/**
 * How a class sheet of many squares is drawn in a real browser: node wide.mjs <address> <assignment>. Prints JSON, in milliseconds.
 */
import {chromium} from '@playwright/test'

const [url, assignment] = process.argv.slice(2)
const FRAMES = 120
/** of a frame at 60 a second, doubled: what an eye takes for a stutter */
const STUTTER = 33.4

const browser = await chromium.launch({executablePath: '/usr/bin/chromium', args: ['--no-sandbox']})
const page = await browser.newPage({viewport: {width: 1280, height: 800}})
page.setDefaultTimeout(120_000)
await page.goto(url)
await page.getByLabel('E-mail').fill('rowan@example.org')
await page.getByLabel('Password').fill('paper-and-ink')
await page.getByRole('button', {name: 'Log in'}).click()
await page.getByRole('banner').waitFor()

const address = `${url}/assignments/${assignment}/class-sheet`
const median = all => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)]

/** From the address to a frame that has squares in it. */
const open = async () => {
  await page.goto('about:blank')
  const start = performance.now()
  await page.goto(address, {waitUntil: 'commit'})
  await page.waitForFunction(() => document.querySelectorAll('.square').length > 0, undefined, {polling: 'raf'})
  return performance.now() - start
}
/** From a key to the second frame after it, which has what it changed. */
const press = key =>
  page.evaluate(async key => {
    const start = performance.now()
    dispatchEvent(new KeyboardEvent('keydown', {key, bubbles: true}))
    await new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))
    return performance.now() - start
  }, key)
/** Frames while the sheet is scrolled by `step` pixels in each. */
const scroll = step =>
  page.evaluate(
    async ([frames, step]) => {
      const sheet = document.querySelector('[aria-label="Class sheet"]')
      const times = []
      await new Promise(done => requestAnimationFrame(done))
      let last = performance.now()
      let without = 0
      for (let nth = 0; nth < frames; nth++) {
        sheet.scrollTop += step
        await new Promise(done => requestAnimationFrame(done))
        const now = performance.now()
        times.push(now - last)
        last = now
        const edge = sheet.getBoundingClientRect()
        const row = document.elementFromPoint(edge.left + 40, edge.bottom - 60)?.closest('tr')
        if (row && !row.querySelector('.square')) without++
      }
      sheet.scrollTop = 0
      return {times, without}
    },
    [FRAMES, step],
  )

const opened = [await open(), await open(), await open()]
await page.waitForTimeout(1000)
const keys = {rows: [], columns: []}
for (let round = 0; round < 6; round++) {
  keys.rows.push(await press('o'))
  keys.columns.push(await press('c'))
}
const slow = await scroll(40)
await page.waitForTimeout(500)
const fast = await scroll(200)
const frames = ({times, without}) => ({
  median: median(times),
  worst: Math.max(...times),
  stutters: times.filter(time => time > STUTTER).length,
  without,
  of: times.length,
})
console.log(
  JSON.stringify({
    opened: median(opened),
    rows: median(keys.rows),
    columns: median(keys.columns),
    slow: frames(slow),
    fast: frames(fast),
    nodes: await page.evaluate(() => document.querySelectorAll('*').length),
  }),
)
await browser.close()
