import {expect, it} from 'vitest'
import {inShort} from './words'

it.each([
  [['new'], '1 line: 1 new.'],
  [
    ['same', 'new', 'new', 'doubled', 'unreadable', 'back', 'changed'],
    '7 lines: 2 new, 1 changed, 1 back again, 1 as they are, 1 doubled, 1 not read.',
  ],
] as const)('says in one sentence what a roster changes: %s', (states, said) => {
  expect(inShort(states.map(state => ({state})))).toBe(said)
})
