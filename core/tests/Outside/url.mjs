// Reads [reference, base] pairs as JSON and prints what whatwg-url makes of each: its href, or null when it is no URL.
import {readFileSync} from 'node:fs'
import {URL} from 'whatwg-url'

const href = (reference, base) => {
  try {
    return new URL(reference, base).href
  } catch {
    return null
  }
}
console.log(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(([reference, base]) => href(reference, base))))
