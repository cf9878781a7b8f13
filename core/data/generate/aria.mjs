// Writes core/data/aria.php from the npm package aria-query: the states and properties of WAI-ARIA with what their values may
// be, in the form of attribute-values.php, and the roles. Run from the project's root: node core/data/generate/aria.mjs
import {readFileSync, writeFileSync} from 'node:fs'
import {aria, roles} from 'aria-query'

const version = JSON.parse(readFileSync('node_modules/aria-query/package.json', 'utf8')).version
const list = values => `[${values.map(value => `'${value}'`).join(', ')}]`
const tokens = ({values}) => values.map(String)
const forms = {
  boolean: ({allowundefined}) => list(['true', 'false', ...(allowundefined ? ['undefined'] : [])]),
  tristate: () => list(['true', 'false', 'mixed', 'undefined']),
  token: property => list(tokens(property)),
  tokenlist: property => list([`/^\\s*(?:(?:${tokens(property).join('|')})\\s*)+$/`, `one or more of ${tokens(property).join(', ')}`]),
  integer: () => list(['/^-?\\d+$/', 'a whole number']),
  number: () => list(['/^-?\\d*\\.?\\d+$/', 'a number']),
}
const attributes = [...aria.entries()].map(([name, property]) => `        '${name}' => ${forms[property.type]?.(property) ?? 'null'},`)
const names = [...roles.entries()].filter(([, role]) => !role.abstract).map(([name]) => name)
writeFileSync('core/data/aria.php', `<?php

// WAI-ARIA: what the values of its states and properties may be (null: any text, or ids), and its roles that are not abstract.
// Source: aria-query ${version} (npm). Written by core/data/generate/aria.mjs.

declare(strict_types=1);

return [
    'attributes' => [
${attributes.join('\n')}
    ],
    'roles' => ${list(names)},
];
`)
