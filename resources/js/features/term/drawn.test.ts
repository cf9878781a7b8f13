import {describe, expect, it} from 'vitest'
import {alongside, drawnOf, ofKinds} from './drawn'

describe('the term in pictures', () => {
  const work = (own: number | null, handIns = 4) => ({id: 'w', title: 'W', handIns, low: 40, middle: 60, high: 80, own})

  it.each([
    [90, 'the upper quarter'],
    [60, 'the upper half'],
    [59, 'the lower half'],
    [39, 'the lower quarter'],
    [null, ''],
  ])('says where %s is in the class', (own, words) => {
    expect(alongside(work(own))).toBe(words)
  })

  it('draws the last six that have something, of the class or of one student', () => {
    const all = [work(1), work(null), work(1, 0), ...Array.from({length: 6}, () => work(2))]
    expect(drawnOf(all, false).map(({place}) => place)).toEqual([3, 4, 5, 6, 7, 8])
    expect(drawnOf(all.slice(0, 4), true).map(({place}) => place)).toEqual([0, 2, 3])
  })

  it('leaves out kinds that nobody has', () => {
    const kinds = [
      {rule: 'a', shares: [50, null], own: [0, 0]},
      {rule: 'b', shares: [0, null], own: [2, 0]},
    ]
    expect(ofKinds(kinds, false)).toEqual([{rule: 'a', values: [50, null]}])
    expect(ofKinds(kinds, true)).toEqual([{rule: 'b', values: [2, 0]}])
  })
})
