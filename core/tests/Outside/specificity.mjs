// Reads a JSON list of selectors and prints what specificity 1.0.0 makes of each.
import {readFileSync} from 'node:fs'
import {calculate} from 'specificity'

for (const selector of JSON.parse(readFileSync(0, 'utf8'))) {
  const {A, B, C} = calculate(selector)
  console.log(JSON.stringify([A, B, C]))
}
