// Writes core/data/elements.php, the names of all HTML elements, obsolete ones included, from @webref/elements (npm), which is
// made from the HTML Standard's own text. Run from the project's root: node core/data/generate/elements.mjs
import {readFileSync, writeFileSync} from 'node:fs'

const read = path => JSON.parse(readFileSync(`node_modules/@webref/elements/${path}`, 'utf8'))
const names = read('html.json').elements.map(({name}) => name).sort()
writeFileSync('core/data/elements.php', `<?php

// The names of all HTML elements, obsolete ones included.
// Source: @webref/elements ${read('package.json').version} (npm). Written by core/data/generate/elements.mjs.

declare(strict_types=1);

return [
${names.map(name => `    '${name}',`).join('\n')}
];
`)
