// The css-tree side of style.php: the same sheets, with positions.
import {readFileSync} from 'node:fs'
import {parse} from 'css-tree'

const sheets = JSON.parse(readFileSync(0, 'utf8')).map(path => readFileSync(path, 'utf8'))
const bytes = sheets.reduce((sum, sheet) => sum + Buffer.byteLength(sheet), 0)
let seconds = Infinity
for (let pass = 0; pass < 5; pass++) {
  const begun = process.hrtime.bigint()
  for (const sheet of sheets) parse(sheet, {positions: true, parseValue: false, parseRulePrelude: false})
  seconds = Math.min(seconds, Number(process.hrtime.bigint() - begun) / 1e9)
}
console.log(JSON.stringify({bytes, seconds}))
