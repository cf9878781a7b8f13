import {describe, expect, it} from 'vitest'
import {folded, quietStretches} from './folds'

describe('long stretches in which nothing is marked', () => {
  it.each<[string, number, number[], [number, number][]]>([
    ['none where nothing is marked at all', 500, [], []],
    ['none on a short page', 40, [20], []],
    [
      'before and after a mark',
      200,
      [100],
      [
        [1, 93],
        [107, 200],
      ],
    ],
    ['between two marks', 120, [5, 110], [[12, 103]]],
    ['none between marks that are near', 100, [10, 30, 50, 70, 90], []],
    [
      'marks beyond the page do not count',
      100,
      [50, 900],
      [
        [1, 43],
        [57, 100],
      ],
    ],
  ])('%s', (_name, lines, marked, expected) => {
    expect(quietStretches(lines, marked).map(({from, to}) => [from, to])).toEqual(expected)
  })

  it('hide no mark, whatever the marks are', () => {
    for (let trial = 1; trial < 60; trial++) {
      const marked = Array.from({length: trial % 9}, (_, at) => 1 + ((at * 131 + trial * 37) % 400))
      for (const {from, to} of quietStretches(400, marked))
        expect(marked.filter(line => line >= from && line <= to)).toEqual([])
    }
  })

  it('are open where they were opened, or the chosen line is', () => {
    const stretches = quietStretches(300, [150])
    expect(folded(stretches, new Set([1]), null).map(({from}) => from)).toEqual([157])
    expect(folded(stretches, new Set(), 200).map(({from}) => from)).toEqual([1])
  })
})
