// @vitest-environment happy-dom
import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {question} from './ReleaseAll'
import {columnsInOrder, inOrder, wordsFor, type Row, type RowOrder} from './order'

const row = (student: string, awarded: number | null, shares: (number | null)[]): Row => ({
  studentId: student,
  student,
  group: '',
  handInId: awarded === null ? null : student,
  late: false,
  putBy: null,
  replied: false,
  awarded,
  possible: awarded === null ? null : 10,
  open: 0,
  extension: null,
  cells: shares.map(share => ({share, points: 0, byHand: false})),
})

const requirement = (share: number | null) => ({
  id: 'r',
  title: 'Titles',
  possible: 6,
  share,
  leftOut: false,
  byEye: false,
})

describe('the class sheet', () => {
  const rows = [
    row('Abel', 8, [1, 0.5]),
    row('Briony', null, []),
    row('Corin', 3, [0.2, null]),
    row('Dara', 8, [0.2, 1]),
  ]

  it.each<[RowOrder, string[]]>([
    ['name', ['Abel', 'Briony', 'Corin', 'Dara']],
    ['points', ['Corin', 'Abel', 'Dara', 'Briony']],
    [0, ['Corin', 'Dara', 'Abel', 'Briony']],
    [1, ['Abel', 'Dara', 'Briony', 'Corin']],
  ])('stands in the order of %j, and what nobody can tell comes last', (order, names) => {
    expect(inOrder(rows, order).map(({student}) => student)).toEqual(names)
  })

  it('has its columns as the brief has them, or what is least met first', () => {
    const all = [requirement(0.9), requirement(null), requirement(0.2), requirement(0.9)]
    expect(columnsInOrder(all, false)).toEqual([0, 1, 2, 3])
    expect(columnsInOrder(all, true)).toEqual([2, 0, 3, 1])
  })

  it.each([
    [null, 'Titles: nothing to see'],
    [{share: null, points: 0, byHand: false}, 'Titles: not judged yet, 6 can be had'],
    [{share: 1, points: 6, byHand: false}, 'Titles: met, 6 of 6'],
    [{share: 0.5, points: 3, byHand: true}, 'Titles: partly, 3 of 6, by hand'],
    [{share: 0, points: 0, byHand: false}, 'Titles: unmet, 0 of 6'],
  ])('says in words what %j shows', (cell, words) => {
    expect(wordsFor(cell, requirement(1))).toBe(words)
  })
})

describe('the question before replies are released', () => {
  const reply = (more: Partial<Schemas['ReadyReply']>): Schemas['ReadyReply'] => ({
    handInId: 'h',
    student: 'Abel',
    pencilled: 0,
    inked: 1,
    toJudge: 0,
    reasons: 0,
    open: 0,
    again: false,
    hasAddress: true,
    ...more,
  })

  it.each<[string, Schemas['ReadyReply'][], number, RegExp]>([
    ['nothing', [], 0, /^There is nothing to release/],
    ['one', [reply({})], 1, /^1 reply will go out\. A released reply does not change; a new one supersedes it\.$/],
    ['pencil', [reply({pencilled: 3}), reply({})], 2, /^2 replies.* In 1 of them there is still pencil/],
    ['what is not judged', [reply({open: 4})], 1, /In 1 the points are provisional, as something is not judged yet\.$/],
  ])('is honest about %s', (_name, chosen, all, words) => {
    expect(question(chosen, all)).toMatch(words)
  })
})
