import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../resources/js/api/client'
import {changesBetween} from '../../resources/js/screens/reply/changes'

type Content = Schemas['ReplyContent']
type Item = Schemas['ReplyItem']

const item = (text: string, line: number | null = null): Item => ({
  kind: 'note',
  mark: null,
  line,
  text,
  remedy: null,
  html: text,
  endLine: null,
})

const point = (title: string, awarded: number, possible = 4) => ({
  title,
  outcome: 'partly' as const,
  awarded,
  possible,
  reason: null,
})

function content(pages: Record<string, Item[]>, points: Schemas['ReplyPoint'][] = []): Content {
  return {
    student: 'Willa Finch',
    course: 'Web Craft',
    assignment: 'Almanac',
    attempt: 1,
    pages: Object.entries(pages).map(([file, items]) => ({file, items})),
    points,
    awarded: 0,
    possible: 0,
    others: [],
    opening: null,
    closing: null,
    mended: [],
  }
}

describe('what is otherwise than in a released reply', () => {
  it('is nothing when the two are alike', () => {
    const same = content({'index.html': [item('Mind this', 3)]}, [point('Titles', 3)])
    expect(changesBetween(same, structuredClone(same))).toEqual([])
  })

  it('names what was added and what was taken out, with their places', () => {
    const released = content({'': [item('A good start')], 'index.html': [item('Mind this', 3)]})
    const draft = content({'index.html': [item('Mind this', 4)], 'birds.html': [item('Well drawn')]})
    expect(changesBetween(released, draft)).toEqual([
      {kind: 'added', place: 'index.html, line 4', text: 'Mind this'},
      {kind: 'added', place: 'birds.html', text: 'Well drawn'},
      {kind: 'taken out', place: 'The whole hand-in', text: 'A good start'},
      {kind: 'taken out', place: 'index.html, line 3', text: 'Mind this'},
    ])
  })

  it('counts a remark that is there twice', () => {
    const once = content({'index.html': [item('Again', 3)]})
    const twice = content({'index.html': [item('Again', 3), item('Again', 3)]})
    expect(changesBetween(once, twice)).toEqual([{kind: 'added', place: 'index.html, line 3', text: 'Again'}])
    expect(changesBetween(twice, once)).toHaveLength(1)
  })

  it.each([
    ['other points', [point('Titles', 3)], [point('Titles', 4)], 'Titles', '3 of 4, now 4 of 4'],
    ['a requirement that is new', [], [point('Titles', 4)], 'Titles', '4 of 4'],
    ['a requirement that is gone', [point('Titles', 4)], [], 'Titles', 'not asked any more'],
  ])('says %s', (_name, before, after, place, text) => {
    expect(changesBetween(content({}, before), content({}, after))).toEqual([{kind: 'points', place, text}])
  })
})
