// The parse5 side of parse.php: the same pages, with source locations and parse errors on.
import {parse} from 'parse5'
import {readFileSync, readdirSync} from 'node:fs'

const folder = '/usr/share/doc/postgresql-doc-15/html'
const pages = []
let bytes = 0
for (const name of readdirSync(folder).filter(name => name.endsWith('.html')).sort()) {
  if (bytes >= 10_000_000) break
  const page = readFileSync(`${folder}/${name}`)
  bytes += page.length
  pages.push(page.toString('utf8'))
}
let errors = 0
const options = {sourceCodeLocationInfo: true, onParseError: () => errors++}
let seconds = Infinity
for (let pass = 0; pass < 3; pass++) {
  const begun = process.hrtime.bigint()
  for (const page of pages) parse(page, options)
  seconds = Math.min(seconds, Number(process.hrtime.bigint() - begun) / 1e9)
}
console.log(JSON.stringify({seconds, bytes, memory: 0}))
