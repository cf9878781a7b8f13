import {describe, expect, it} from 'vitest'
import {
  add,
  addIgnored,
  beginWith,
  ignoredOf,
  ink,
  inkAll,
  move,
  propose,
  proposedOf,
  redo,
  requirementsOf,
  rubOut,
  rubOutAll,
  setField,
  setIgnored,
  setMarking,
  strike,
  strikeIgnored,
  undo,
  withPencilOf,
  write,
  type Doc,
} from './document'
import {entriesAsLines, linesAsEntries, linesAsParts, linesAsSteps, partsAsLines, stepsAsLines} from './lines'

const doc: Doc = {
  title: 'T',
  requirements: [
    {id: 'a', kind: 'titles'},
    {id: 'b', kind: 'count', exactly: 1},
  ],
}
const ids = (of: Doc) => requirementsOf(of).map(({id}) => id)

describe('a brief that is written', () => {
  it('has fields set and left out, and nothing else changed', () => {
    expect(requirementsOf(setField(doc, 1, 'exactly', 2))[1]).toEqual({id: 'b', kind: 'count', exactly: 2})
    expect(requirementsOf(setField(doc, 1, 'exactly', undefined))[1]).toEqual({id: 'b', kind: 'count'})
    expect(setField(doc, 0, 'points', 1).title).toBe('T')
  })

  it('says what being late costs, and nothing where that is taken out again', () => {
    const late = setMarking(doc, 'off_per_day', 2)
    expect(late.marking).toEqual({off_per_day: 2})
    expect(setMarking(late, 'off_per_day', undefined)).toEqual(doc)
  })

  it.each([
    [0, 1, ['b', 'a']],
    [1, -1, ['b', 'a']],
    [0, -1, ['a', 'b']],
    [1, 1, ['a', 'b']],
  ])('moves requirement %i by %i', (at, by, order) => {
    expect(ids(move(doc, at, by))).toEqual(order)
  })

  it('strikes out and adds under an id of its own', () => {
    expect(ids(strike(doc, 0))).toEqual(['b'])
    expect(ids(add(add(doc, {kind: 'titles'}), {kind: 'titles'}))).toEqual(['a', 'b', 'titles', 'titles-2'])
    expect(ids(add({title: 'T'}, {kind: 'look'}))).toEqual(['look'])
  })

  it('takes back and does again, typing in one field being one step', () => {
    let history = beginWith(doc)
    for (const points of [1, 12, 120]) history = write(history, setField(history.doc, 0, 'points', points), '0 points')
    history = write(history, strike(history.doc, 1))
    expect(history.past).toHaveLength(2)
    history = undo(undo(history))
    expect(history.doc).toBe(doc)
    expect(undo(history).doc).toBe(doc)
    history = redo(history)
    expect(requirementsOf(history.doc)[0]).toMatchObject({points: 120})
    expect(ids(redo(history).doc)).toEqual(['a'])
    expect(write(history, history.doc)).toBe(history)
  })
})

describe('lines that can be typed', () => {
  it.each([
    [['main'], 'main'],
    [
      [{'header, div#header': ['h1']}, 'nav', {main: [{section: ['h2', 'p']}]}],
      'header, div#header\n  h1\nnav\nmain\n  section\n    h2\n    p',
    ],
  ])('are nested parts', (parts, lines) => {
    expect(partsAsLines(parts)).toBe(lines)
    expect(linesAsParts(lines)).toEqual(parts)
  })

  it('take any indentation for what is inside', () => {
    expect(linesAsParts('\nheader\n\t h1\n\n footer')).toEqual([{header: ['h1', 'footer']}])
    expect(linesAsParts('a\n    b\n  c\nd')).toEqual([{a: ['b', 'c']}, 'd'])
  })

  it('are the entries of a menu, and points by what is wrong', () => {
    const entries = [{'index.html': 'Home'}, {'pages/tides.html': 'Tides: high'}]
    expect(entriesAsLines(entries)).toBe('index.html: Home\npages/tides.html: Tides: high')
    expect(linesAsEntries(entriesAsLines(entries))).toEqual(entries)
    expect(linesAsEntries('https://a.example/b: B\nindex.html:')).toEqual([
      {'https://a.example/b': 'B'},
      {'index.html': ''},
    ])
    expect(stepsAsLines({0: 10, 2: 6.5})).toBe('0: 10\n2: 6.5')
    expect(linesAsSteps('0: 10\n2: 6.5\n3: few')).toEqual({0: 10, 2: 6.5, 3: 'few'})
  })
})

describe('a proposal', () => {
  const proposal: Doc = {
    title: 'P',
    requirements: [
      {id: 'x', kind: 'titles'},
      {id: 'a', kind: 'contrast'},
      {id: 'c', kind: 'look'},
    ],
  }
  const pencilled = propose(doc, proposal)

  it('stands in pencil, but for what the brief asks for already', () => {
    expect(proposedOf(pencilled).map(({kind}) => kind)).toEqual(['contrast', 'look'])
    expect(requirementsOf(pencilled)).toEqual(requirementsOf(doc))
    expect(propose(pencilled, proposal)).toEqual(pencilled)
  })

  it('is inked one by one, under ids of its own, or rubbed out', () => {
    const inked = ink(pencilled, 0)
    expect(ids(inked)).toEqual(['a', 'b', 'a-2'])
    expect(proposedOf(inked).map(({kind}) => kind)).toEqual(['look'])
    expect(rubOut(inked, 0).proposed).toBeUndefined()
    expect(ids(inkAll(pencilled))).toEqual(['a', 'b', 'a-2', 'c'])
    expect(inkAll(pencilled).proposed).toBeUndefined()
    expect(rubOutAll(pencilled)).toEqual(doc)
  })

  it('stays in pencil when the brief is read as text', () => {
    expect(withPencilOf(pencilled, {title: 'Read'})).toEqual({title: 'Read', proposed: proposedOf(pencilled)})
  })
})

describe('what is passed over in silence', () => {
  it('is added, changed and struck out, and a bare name is a rule', () => {
    const two = addIgnored({...doc, ignore: ['link/empty']})
    expect(ignoredOf(two)).toEqual([{rules: ['link/empty']}, {rules: []}])
    const set = setIgnored(two, 1, 'rules', ['nav'])
    expect(ignoredOf(set)).toEqual([{rules: ['link/empty']}, {rules: ['nav']}])
    expect(strikeIgnored(strikeIgnored(set, 0), 0)).toEqual(doc)
  })
})
