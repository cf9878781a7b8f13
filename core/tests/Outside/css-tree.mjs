// Reads a JSON list of stylesheets and prints what css-tree 3.2.1 makes of each: its rules and declarations, in order,
// as [kind, name or prelude, value, important], with nested ones in place.
import {readFileSync} from 'node:fs'
import {parse} from 'css-tree'

const text = (css, node) => (node === null ? '' : css.slice(node.loc.start.offset, node.loc.end.offset))

/** White space at the ends and comments say nothing: css-tree keeps some of them in what it gives as raw text. */
const bare = text =>
  text
    .replace(/\/\*[^]*?(?:\*\/|$)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()

function walk(css, list, out) {
  for (const node of list) {
    if (node.type === 'Rule') {
      out.push(['rule', bare(text(css, node.prelude))])
      walk(css, node.block.children, out)
      out.push(['end'])
    } else if (node.type === 'Atrule') {
      out.push(['at', node.name.toLowerCase(), bare(text(css, node.prelude))])
      if (node.block !== null) walk(css, node.block.children, out)
      out.push(['end'])
    } else if (node.type === 'Declaration') {
      const name = node.property.startsWith('--') ? node.property : node.property.toLowerCase()
      out.push(['decl', name, bare(text(css, node.value)), node.important !== false])
    }
  }
  return out
}

const sheets = JSON.parse(readFileSync(0, 'utf8'))
for (const css of sheets) {
  const errors = []
  const tree = parse(css, {
    positions: true,
    parseValue: false,
    parseRulePrelude: false,
    parseAtrulePrelude: false,
    parseCustomProperty: false,
    onParseError: error => errors.push(error.message),
  })
  console.log(JSON.stringify({tree: walk(css, tree.children, []), errors: errors.length}))
}
