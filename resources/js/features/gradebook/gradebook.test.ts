import {describe, expect, it} from 'vitest'
import {draftOf, inOrder, meanOf, said, settingsOf, shown, type Book, type Cell, type Column, type Row} from './table'

const cell = (more: Partial<Cell> = {}): Cell => ({
  kind: 'earned',
  awarded: 3,
  possible: 4,
  handInId: 'h',
  isLate: false,
  isReplied: true,
  worked: null,
  reason: null,
  open: 0,
  isExtended: false,
  ...more,
})

const column = (more: Partial<Column> = {}): Column => ({
  id: 'w',
  title: 'Almanac',
  isAssignment: true,
  possible: 4,
  part: null,
  weight: 1,
  isOver: true,
  isDated: true,
  ...more,
})

const row = (name: string, percent: number | null, ...cells: Cell[]): Row => ({
  studentId: name,
  name,
  handle: name,
  email: '',
  group: '',
  cells,
  parts: [percent],
  percent,
})

describe('a number of the gradebook', () => {
  it.each<[Partial<Cell>, string, string]>([
    [{}, '3', 'Almanac: 3 of 4'],
    [{isReplied: false}, '3', 'Almanac: 3 of 4, no reply yet'],
    [{isLate: true}, '3', 'Almanac: 3 of 4, late'],
    [{kind: 'by-hand', reason: 'agreed'}, '3', 'Almanac: 3 of 4, by hand: agreed'],
    [{kind: 'excused', awarded: null, reason: 'ill'}, 'exc.', 'Almanac: excused: ill'],
    [{kind: 'missing', awarded: 0, handInId: null}, 'none', 'Almanac: no hand-in, which counts as 0'],
    [{kind: 'open', awarded: null, handInId: null}, '', 'Almanac: no hand-in yet'],
    [{kind: 'open', awarded: null}, '', 'Almanac: not due yet, or not judged yet'],
  ])('%j is shown and said', (more, short, long) => {
    expect([shown(cell(more)), said(cell(more), column())]).toEqual([short, long])
  })

  it('stands in order by name, by the whole, or by one piece of work, and last without any', () => {
    const rows = [row('A', 50, cell({awarded: 4})), row('B', null, cell({awarded: null})), row('C', 20, cell())]
    const names = (order: 'name' | 'course' | number) => inOrder(rows, order).map(({name}) => name)
    expect(names('name')).toEqual(['A', 'B', 'C'])
    expect(names('course')).toEqual(['C', 'A', 'B'])
    expect(names(0)).toEqual(['C', 'A', 'B'])
    expect(meanOf(rows, 0)).toBe(88)
    expect(meanOf([], 0)).toBeNull()
  })
})

describe('what counts', () => {
  const book: Book = {
    course: 'Web Craft',
    parts: [
      {id: 'p', title: 'Exercises', weight: 40, best: 3},
      {id: 'q', title: 'Project', weight: 60, best: null},
    ],
    columns: [column({part: 'q', weight: 2}), column({id: 'x'})],
    rows: [],
  }

  it('comes back as it was when nothing is changed', () => {
    expect(settingsOf(draftOf(book))).toEqual({
      parts: [
        {title: 'Exercises', weight: 40, best: 3},
        {title: 'Project', weight: 60, best: null},
      ],
      work: [
        {id: 'w', part: 1, weight: 2},
        {id: 'x', part: 0, weight: 1},
      ],
    })
  })

  it('takes a comma for a point, and no part that is gone', () => {
    const draft = draftOf(book)
    draft.parts = [{title: ' All ', weight: '0,5', best: ''}]
    expect(settingsOf(draft)).toMatchObject({
      parts: [{title: 'All', weight: 0.5, best: null}],
      work: [{part: 0}, {part: 0}],
    })
  })
})
