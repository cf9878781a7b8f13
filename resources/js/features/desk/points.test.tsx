import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {inShort} from './Points'

const outcome = (given: Partial<Schemas['DeskOutcome']>): Schemas['DeskOutcome'] => ({
  requirement: 'one',
  title: 'One',
  outcome: 'met',
  measured: '',
  expected: '',
  computed: 0,
  awarded: 0,
  possible: 1,
  how: '',
  reason: null,
  shortfalls: [],
  choices: [],
  leftOut: false,
  givenBefore: false,
  ...given,
})
const look = outcome({
  outcome: 'not-judged',
  choices: [
    {words: 'poor', points: 0},
    {words: 'good', points: 1},
  ],
})

describe('the requirements in short', () => {
  it.each([
    ['all of them', [outcome({})], 'all requirements met'],
    ['one that is not', [outcome({}), outcome({outcome: 'partly'})], '1 of 2 not met'],
    ['one that waits for a person', [outcome({}), look], 'all requirements met, 1 to judge'],
    ['one that is left out', [outcome({}), {...look, leftOut: true}], 'all requirements met'],
    ['one that cannot be told', [outcome({}), outcome({outcome: 'not-judged'})], 'all requirements met, 1 to judge'],
    ['one that was judged', [outcome({outcome: 'unmet'}), {...look, reason: 'good'}], '1 of 1 not met'],
  ])('say %s', (_, outcomes, said) => {
    expect(inShort(outcomes)).toBe(said)
  })
})
