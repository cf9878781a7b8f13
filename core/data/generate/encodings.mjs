// Writes core/data/encodings.php from the npm package whatwg-encoding, which carries the labels of the Encoding Standard.
// Run from the project's root: node core/data/generate/encodings.mjs
import {readFileSync, writeFileSync} from 'node:fs'

const read = path => JSON.parse(readFileSync(`node_modules/whatwg-encoding/${path}`, 'utf8'))
const rows = Object.entries(read('lib/labels-to-names.json')).map(([label, name]) => `    '${label}' => '${name}',`)
writeFileSync('core/data/encodings.php', `<?php

// The names of encodings by their labels (Encoding Standard, 4.2 "Names and labels").
// Source: whatwg-encoding ${read('package.json').version} (npm). Written by core/data/generate/encodings.mjs.

declare(strict_types=1);

return [
${rows.join('\n')}
];
`)
