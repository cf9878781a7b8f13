import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {isNear, judgedOf, nextToJudge} from './upNext'

const line = (handInId: string, points: number | null) => ({handInId, points}) as Schemas['JudgingLine']

describe('judging a class by eye', () => {
  const lines = [line('a', 2), line('b', null), line('c', null), line('d', 0)]

  it.each([
    ['from the start', -1, 1],
    ['after the first that waits', 1, 2],
    ['round after the last', 3, 1],
  ])('goes to the next that nobody has judged, %s', (_words, after, next) => {
    expect(nextToJudge(lines, after)).toBe(next)
  })

  it('has nowhere to go when all are judged', () => {
    expect(nextToJudge([line('a', 0)], 0)).toBe(-1)
    expect(nextToJudge([], -1)).toBe(-1)
  })

  it('loads the pages of the one that is judged and of its neighbours alone', () => {
    expect([0, 1, 2, 3, 4].map(index => isNear(index, 2))).toEqual([false, true, true, true, false])
  })

  it('keeps what was said with its points, and leaves the others', () => {
    const data = {handIns: lines} as Schemas['Judging']
    expect(judgedOf(data, 'c', {words: 'reads well', points: 4}).handIns[2]).toMatchObject({
      points: 4,
      reason: 'reads well',
    })
    expect(judgedOf(data, 'c', {words: 'reads well', points: 4}).handIns[1]).toBe(lines[1])
  })
})
