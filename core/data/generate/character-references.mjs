// Writes core/data/character-references.php from character-entities and character-entities-legacy (npm), which are made
// from the HTML Standard's table of named character references (13.5). The legacy ones also work without a semicolon.
// Run from the project's root: node core/data/generate/character-references.mjs
import {readFileSync, writeFileSync} from 'node:fs'
import {characterEntities} from 'character-entities'
import {characterEntitiesLegacy} from 'character-entities-legacy'

const version = name => `${name} ${JSON.parse(readFileSync(`node_modules/${name}/package.json`, 'utf8')).version}`
const escape = text => [...text].map(letter => `\\u{${letter.codePointAt(0).toString(16)}}`).join('')
const rows = [
  ...Object.keys(characterEntities).map(name => [`${name};`, characterEntities[name]]),
  ...characterEntitiesLegacy.map(name => [name, characterEntities[name]]),
].sort(([a], [b]) => (a < b ? -1 : 1))
writeFileSync('core/data/character-references.php', `<?php

// Named character references: the name as it stands after the ampersand, and what it stands for.
// Source: ${version('character-entities')} and ${version('character-entities-legacy')} (npm). Written by core/data/generate/character-references.mjs.

declare(strict_types=1);

return [
${rows.map(([name, text]) => `    '${name}' => "${escape(text)}",`).join('\n')}
];
`)
