import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {daysAgo, howFar} from './words'

describe('records', () => {
  it.each<[Schemas['RecordsView'], string]>([
    [{state: null, done: 0, of: 0}, ''],
    [{state: 'waiting', done: 0, of: 0}, 'They are about to be written; you need not wait here.'],
    [{state: 'waiting', done: 20, of: 33}, '20 of 33 hand-ins written.'],
    [{state: 'ready', done: 0, of: 0}, 'Kept for a day.'],
  ])('says how far they are: %j', (view, words) => {
    expect(howFar(view)).toBe(words)
  })

  it('counts days back over a leap year', () => {
    expect(daysAgo(366, new Date('2025-02-28T12:00:00Z'))).toBe('2024-02-28')
  })
})
