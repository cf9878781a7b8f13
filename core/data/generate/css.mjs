// Writes css-properties.php, css-types.php: what CSS's properties are and what they may hold, in the value definition
// syntax. Source: @webref/css, which W3C extracts from the specifications. Run: node core/data/generate/css.mjs
import {readFileSync, writeFileSync} from 'node:fs'
import {createRequire} from 'node:module'
import css from '@webref/css'

const {version} = JSON.parse(readFileSync(createRequire(import.meta.url).resolve('@webref/css/package.json'), 'utf8'))
const {properties, types, functions} = await css.listAll()

const quoted = text => `'${text.replace(/\\/g, '\\\\').replace(/'/g, "\\'")}'`
const oneLine = text => text.replace(/\s+/g, ' ').trim()

const page = (about, lines) => `<?php

declare(strict_types=1);

// ${about}
// Source: @webref/css ${version} (npm), W3C's extract of the CSS specifications. Made by generate/css.mjs.
return [
${lines.join('\n')}
];
`

// What every browser takes besides, and the extract does not hold.
const corrections = {
  // CSS Masking 1, 8.1: the old form without commas too
  // no browser has the floats of CSS Page Floats 3
  float: 'left | right | inline-start | inline-end | none',
  // SVG 2, 13.2: what browsers have, and not the draft of Fill and Stroke 3
  fill: 'none | <color> | context-fill | context-stroke | <url> [ none | <color> ]?',
  stroke: 'none | <color> | context-fill | context-stroke | <url> [ none | <color> ]?',
  clip: 'rect( [ <length> | auto ]#{4} ) | rect( [ <length> | auto ]{4} ) | auto',
}

const byName = new Map(properties.map(one => [one.name, one]))
const syntaxOf = one => corrections[one.name] ?? (one.syntax !== undefined ? oneLine(one.syntax) : one.legacyAliasOf ? syntaxOf(byName.get(one.legacyAliasOf)) : '')
const inherits = one => /^yes/i.test(one.inherited ?? byName.get(one.legacyAliasOf)?.inherited ?? '')

writeFileSync(
  new URL('../css-properties.php', import.meta.url),
  page(
    'The properties of CSS: what each may hold, its initial value, whether it is inherited, and the longhands that it sets.',
    properties
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .map(
        one =>
          `    ${quoted(one.name)} => [${quoted(syntaxOf(one))}, ${quoted(oneLine(one.initial ?? ''))}, ${inherits(one)}, [${[...(one.longhands ?? []), ...(one.resetLonghands ?? [])].map(quoted).join(', ')}]],`,
      ),
  ),
)

writeFileSync(
  new URL('../css-types.php', import.meta.url),
  page(
    'The types of CSS values and the functions, by name, with what each is made of.',
    [...types, ...functions, {name: 'url-set', syntax: '<image-set()>'}]
      .filter(one => one.syntax !== undefined)
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .map(one => `    ${quoted(one.name)} => ${quoted(oneLine(one.syntax))},`),
  ),
)
