import {describe, expect, it} from 'vitest'
import {timeLeft} from './dueWords'

describe('the time that is left', () => {
  it.each([
    [30_000, 'less than a minute'],
    [61_000, '1 minute'],
    [3_600_000, '1 hour'],
    [7_500_000, '2 hours and 5 minutes'],
    [90_000_000, '1 day and 1 hour'],
    [172_800_000, '2 days'],
  ])('%i ms is %s', (milliseconds, words) => {
    expect(timeLeft(milliseconds)).toBe(words)
  })
})
