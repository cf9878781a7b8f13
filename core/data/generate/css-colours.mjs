// Writes css-colours.php: the named colours of CSS. Source: culori (npm), after CSS Color 4, section 6.1.
// Run: node core/data/generate/css-colours.mjs
import {readFileSync, writeFileSync} from 'node:fs'
import {colorsNamed} from 'culori'

const {version} = JSON.parse(readFileSync('node_modules/culori/package.json', 'utf8'))
const lines = Object.entries(colorsNamed)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([name, number]) => `    '${name}' => 0x${number.toString(16).padStart(6, '0')},`)
writeFileSync(
  'core/data/css-colours.php',
  `<?php

declare(strict_types=1);

// The named colours of CSS, as red, green and blue (CSS Color 4, 6.1).
// Source: culori ${version} (npm). Made by generate/css-colours.mjs.
return [
${lines.join('\n')}
];
`,
)
