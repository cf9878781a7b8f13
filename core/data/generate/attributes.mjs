// Writes core/data/attributes.php from two npm packages: html-element-attributes, made from the HTML Standard and the
// specifications before it, and @webref/elements, for the elements that have no attributes of their own. Run from the project's root: node core/data/generate/attributes.mjs
import {readFileSync, writeFileSync} from 'node:fs'
import {htmlElementAttributes} from 'html-element-attributes'

const read = path => JSON.parse(readFileSync(`node_modules/${path}`, 'utf8'))
const version = name => `${name} ${read(`${name}/package.json`).version}`
const bare = Object.fromEntries(read('@webref/elements/html.json').elements.map(({name}) => [name, []]))
const rows = Object.entries({...bare, ...htmlElementAttributes})
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([element, names]) => `    '${element}' => [${names.map(name => `'${name}'`).join(', ')}],`)
writeFileSync('core/data/attributes.php', `<?php

// Attributes by element, obsolete ones included; '*' for those of every element.
// Source: ${version('html-element-attributes')} and ${version('@webref/elements')} (npm). Written by core/data/generate/attributes.mjs.

declare(strict_types=1);

return [
${rows.join('\n')}
];
`)
