// Writes core/data/url-attributes.php from html-url-attributes (npm), made from the HTML Standard's index of attributes.
// Run from the project's root: node core/data/generate/url-attributes.mjs
import {readFileSync, writeFileSync} from 'node:fs'
import {urlAttributes} from 'html-url-attributes'

const version = JSON.parse(readFileSync('node_modules/html-url-attributes/package.json', 'utf8')).version
const byElement = {}
for (const [name, elements] of Object.entries(urlAttributes)) {
  // itemid names a thing and leads nowhere; ping may hold several, and nobody follows it.
  if (name === 'itemId' || name === 'ping') continue
  for (const element of elements) (byElement[element] ??= []).push(name.toLowerCase())
}
const rows = Object.keys(byElement).sort().map(element => `    '${element}' => [${byElement[element].sort().map(name => `'${name}'`).join(', ')}],`)
writeFileSync('core/data/url-attributes.php', `<?php

// Attributes that hold one address, by element.
// Source: html-url-attributes ${version} (npm). Written by core/data/generate/url-attributes.mjs.

declare(strict_types=1);

return [
${rows.join('\n')}
];
`)
