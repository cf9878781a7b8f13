// Reads a JSON list of [property, value] and prints whether css-tree 3.2.1's lexer takes each.
import {readFileSync} from 'node:fs'
import {lexer, parse} from 'css-tree'

for (const [property, value] of JSON.parse(readFileSync(0, 'utf8'))) {
  let taken
  try {
    const {error} = lexer.matchProperty(property, parse(value, {context: 'value'}))
    taken = error === null ? true : error.name === 'SyntaxReferenceError' ? null : false
  } catch {
    taken = false
  }
  console.log(JSON.stringify(taken))
}
