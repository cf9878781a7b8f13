import {describe, expect, it} from 'vitest'
import {between, bringing, level, type Slot} from './level'

const slots = (...of: [wanted: number, height: number][]): Slot[] =>
  of.map(([wanted, height], index) => ({key: String(index), wanted, height}))

describe('notes beside their lines', () => {
  it('stand level with their lines where there is room', () => {
    expect(level(slots([100, 40], [300, 40]))).toEqual({tops: [100, 300], end: 352})
  })

  it('stand below the one before where there is none, and never over it', () => {
    expect(level(slots([100, 80], [110, 40], [120, 10])).tops).toEqual([100, 192, 244])
  })

  it('make room for the one that is chosen: those before it move up, those after it down', () => {
    expect(level(slots([100, 80], [110, 40], [120, 10], [130, 10]), 2).tops).toEqual([-24, 68, 120, 142])
    expect(level(slots([100, 20], [300, 40], [310, 20]), 1).tops).toEqual([100, 300, 352])
  })

  it('stand one below the other where there are no lines', () => {
    expect(level(slots([0, 30], [0, 30])).tops).toEqual([8, 50])
  })

  it.each([
    ['of a thousand only those in view', 5000, 5400, [100, 109]],
    ['from the first', 0, 100, [0, 3]],
    ['none beyond the last', 90_000, 90_400, [1000, 1000]],
  ])('are drawn near what is seen: %s', (_name, from, to, drawn) => {
    const thousand = slots(...Array.from({length: 1000}, (_, index): [number, number] => [index * 50, 30]))
    expect(between(thousand, level(thousand), from, to)).toEqual(drawn)
  })

  it.each([
    ['stays where both are in view', 0, 200, 300, 0],
    ['goes down just far enough', 0, 700, 780, 340],
    ['goes up just far enough', 900, 700, 780, 640],
    ['shows the note when line and note are further apart than it is high', 0, 100, 900, 460],
    ['never goes above the top', 500, 10, 40, 0],
  ])('the paper %s', (_name, at, from, to, scrolled) => {
    expect(bringing(at, 500, from, to)).toBe(scrolled)
  })
})
