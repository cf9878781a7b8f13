import type {Schemas} from '../../lib/schemas'
import {many} from '../../lib/when'

type Line = Pick<Schemas['RosterLine'], 'state'>

/** What a roster would change, in one sentence. */
export function inShort(lines: Line[]): string {
  const count = (state: Line['state']) => lines.filter(line => line.state === state).length
  const told = [
    {count: count('new'), words: 'new'},
    {count: count('changed'), words: 'changed'},
    {count: count('back'), words: 'back again'},
    {count: count('same'), words: 'as they are'},
    {count: count('doubled'), words: 'doubled'},
    {count: count('unreadable'), words: 'not read'},
  ].filter(one => one.count > 0)
  return `${many(lines.length, 'line')}: ${told.map(one => `${one.count} ${one.words}`).join(', ')}.`
}
