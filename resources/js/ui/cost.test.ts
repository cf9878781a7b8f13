import {describe, expect, it} from 'vitest'
import {cost, notJudged, together} from '../lib/cost'
import {extensionInWords} from './ExtensionNote'
import {readIn, whenIn} from '../lib/when'
import type {Schemas} from '../lib/schemas'

describe('what points are called', () => {
  it.each([
    [1.25, '-1.25'],
    [0, ''],
  ])('says of %d that it costs %j', (points, words) => {
    expect(cost(points)).toBe(words)
  })

  it.each([
    [4, '4 points not judged yet'],
    [1, '1 point not judged yet'],
    [0, ''],
  ])('says of %d open points %j', (open, words) => {
    expect(notJudged(open)).toBe(words)
  })
})

describe('places that lose points', () => {
  const place = (message: string, points: number) => ({file: 'index.html', line: null, message, cost: points})

  it('are told once where they read alike, with the sum of what they cost', () => {
    const pages = [place('2 pages are missing.', 0.58), place('Another.', 1), place('2 pages are missing.', 0.57)]
    expect(together(pages)).toEqual([place('2 pages are missing.', 1.15), place('Another.', 1)])
  })
})

describe('times of a course', () => {
  const summer = '2026-07-01T17:00:00Z'

  it('are read in its zone, with its name where the reader has another clock', () => {
    readIn('Europe/Paris')
    expect(whenIn(summer, 'Europe/London')).toMatch(/18:00 \(Europe\/London\)$/)
  })

  it('need no name where both clocks show the same', () => {
    readIn('Europe/Dublin')
    expect(whenIn(summer, 'Europe/London')).toMatch(/18:00$/)
  })

  it('are the reader’s own where the zone is unknown', () => {
    readIn('Europe/London')
    expect(whenIn(summer, 'Nowhere/Atall')).toMatch(/18:00$/)
  })

  it('say what an extension allows', () => {
    readIn('Europe/London')
    const extension = {dueAt: summer, waived: true, excused: false} as Schemas['ExtensionView']
    expect(extensionInWords(extension, 'Europe/London')).toMatch(/^due Wed 1 Jul.*18:00, lateness does not count$/)
    expect(extensionInWords({...extension, dueAt: null, waived: false, excused: true})).toBe('excused')
  })
})
