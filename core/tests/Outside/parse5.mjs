// Reads file names on standard input and prints, one JSON object a line, what parse5 makes of each: the tree in the html5lib
// serialisation and the parse errors with line and column. The reference for the differential test.
import {readFileSync} from 'node:fs'
import {parse} from 'parse5'

const PREFIXES = {'http://www.w3.org/1999/xhtml': '', 'http://www.w3.org/2000/svg': 'svg ', 'http://www.w3.org/1998/Math/MathML': 'math '}

function tree(document) {
  const lines = []
  const waiting = document.childNodes.map(node => [node, 0]).reverse()
  while (waiting.length > 0) {
    const [node, depth] = waiting.pop()
    const indent = '| ' + '  '.repeat(depth)
    if (node.nodeName === '#text') lines.push(`${indent}"${node.value}"`)
    else if (node.nodeName === '#comment') lines.push(`${indent}<!-- ${node.data} -->`)
    else if (node.nodeName === '#documentType') {
      const ids = node.publicId || node.systemId ? ` "${node.publicId ?? ''}" "${node.systemId ?? ''}"` : ''
      lines.push(`${indent}<!DOCTYPE ${node.name ?? ''}${ids}>`)
    } else {
      lines.push(`${indent}<${PREFIXES[node.namespaceURI]}${node.tagName}>`)
      const attributes = node.attrs.map(({prefix, name, value}) => [prefix ? `${prefix} ${name}` : name, value])
      attributes.sort(([a], [b]) => Buffer.compare(Buffer.from(a), Buffer.from(b)))
      for (const [name, value] of attributes) lines.push(`${indent}  ${name}="${value}"`)
      const inside = node.content === undefined ? depth + 1 : depth + 2
      if (node.content !== undefined) lines.push(`${indent}  content`)
      for (const child of (node.content ?? node).childNodes.toReversed()) waiting.push([child, inside])
    }
  }
  return lines.join('\n')
}

for (const file of readFileSync(0, 'utf8').split('\n').filter(name => name !== '')) {
  const errors = []
  const document = parse(readFileSync(file, 'utf8'), {
    scriptingEnabled: false,
    onParseError: ({code, startLine, startCol}) => errors.push(`${startLine}:${startCol} ${code}`),
  })
  console.log(JSON.stringify({file, tree: tree(document), errors}))
}
