// Writes core/data/event-handlers.php from the interface definitions of the standards, as the npm package @webref/idl carries
// them. Run from the project's root: node core/data/generate/event-handlers.mjs
import {readFileSync, readdirSync, writeFileSync} from 'node:fs'

const folder = 'node_modules/@webref/idl'
const version = JSON.parse(readFileSync(`${folder}/package.json`, 'utf8')).version
const idl = readdirSync(folder).filter(name => name.endsWith('.idl')).map(name => readFileSync(`${folder}/${name}`, 'utf8')).join('\n')
const handlersOf = mixin => [...idl.matchAll(new RegExp(`interface mixin ${mixin} \\{([^}]*)\\}`, 'g'))]
  .flatMap(([, body]) => [...body.matchAll(/attribute \w*EventHandler\w* (on[a-z]+);/g)].map(([, name]) => name))
const row = names => [...new Set(names)].sort().map(name => `'${name}'`).join(', ')
writeFileSync('core/data/event-handlers.php', `<?php

// Event handler content attributes: of every element ('*'), and those that only the body passes on to its window.
// Source: GlobalEventHandlers and WindowEventHandlers in @webref/idl ${version} (npm). Written by core/data/generate/event-handlers.mjs.

declare(strict_types=1);

return [
    '*' => [${row(handlersOf('GlobalEventHandlers'))}],
    'body' => [${row(handlersOf('WindowEventHandlers'))}],
];
`)
