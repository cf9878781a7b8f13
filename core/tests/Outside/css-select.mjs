// What css-select 7.0.0 makes of pages: reads a JSON list of {html, selectors}, and prints for each the numbers of the
// elements that each selector matches, or null where it does not read it.
import {readFileSync} from 'node:fs'
import {selectAll} from 'css-select'
import {parse} from 'parse5'
import {adapter} from 'parse5-htmlparser2-tree-adapter'

for (const {html, selectors} of JSON.parse(readFileSync(0, 'utf8'))) {
  const document = parse(html, {treeAdapter: adapter})
  const number = new Map(selectAll('*', document).map((element, index) => [element, index]))
  console.log(
    JSON.stringify(
      selectors.map(selector => {
        try {
          return selectAll(selector, document).map(element => number.get(element))
        } catch {
          return null
        }
      }),
    ),
  )
}
