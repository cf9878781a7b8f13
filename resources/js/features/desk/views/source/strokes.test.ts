import {describe, expect, it} from 'vitest'
import type {MarginItem} from '../../margin/marks'
import {tones} from './colouring'
import {strokesOf} from './strokes'

const lines = ['<ul>', '  <li>Ebb 🌊 <b>now</b>', '</ul>']

function found(line: number, column: number, endLine: number, endColumn: number): MarginItem {
  const finding = {line, column, endLine, endColumn, state: 'pencilled'}
  return {kind: 'finding', key: 'f', line, numeral: 1, finding} as unknown as MarginItem
}

const strokes = (item: MarginItem) => strokesOf([item], lines.length, line => lines[line - 1] ?? '')

describe('pen strokes', () => {
  it('lie under what a mark covers, counted in characters as a reader counts them', () => {
    expect(strokes(found(2, 13, 2, 16))).toEqual([{line: 2, from: 13, to: 16, state: 'pencilled', numeral: 1}])
    expect(lines[1]?.slice(13, 16)).toBe('<b>')
  })

  it('go on from line to line without the indentation, with one numeral', () => {
    expect(strokes(found(1, 1, 3, 6)).map(({from, to, numeral}) => [from, to, numeral])).toEqual([
      [0, 4, 1],
      [2, lines[1]?.length, null],
      [0, 5, null],
    ])
  })

  it('stand beside all lines of a note, with its numeral at the first', () => {
    const note = {kind: 'note', key: 'n', line: 1, numeral: 4, note: {endLine: 9}} as unknown as MarginItem
    expect(strokes(note).map(({line, from, to, numeral}) => [line, from, to, numeral])).toEqual([
      [1, 0, 0, 4],
      [2, 0, 0, null],
      [3, 0, 0, null],
    ])
  })

  it('end with the page, whatever a mark of an older version of it says', () => {
    expect(strokes(found(2, 1, 90, 4)).map(({line}) => line)).toEqual([2, 3])
    expect(strokes(found(90, 1, 90, 4))).toEqual([])
  })
})

describe('quiet colouring', () => {
  it.each([
    ['page', '<a href="x">', ['tag <a href=', 'string "x"', 'tag >']],
    ['page', '<!-- a < b -->', ['comment <!-- a < b -->']],
    ['stylesheet', 'a { color: red } /* x */', ['tag a ', 'comment /* x */']],
    ['script', 'let a = "b"', []],
  ])('of a %s: %s', (kind, text, expected) => {
    expect(tones(text, kind).map(({from, to, tone}) => `${tone} ${text.slice(from, to)}`)).toEqual(expected)
  })
})
