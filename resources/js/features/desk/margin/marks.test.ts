import {describe, expect, it} from 'vitest'
import {marginOf, WHOLE, type Draft, type Finding, type Note} from './marks'

const finding = (fingerprint: string, file: string, line: number | null): Finding => ({
  fingerprint,
  rule: 'markup/missing-alt',
  variant: '',
  weight: 'fault',
  mark: 'insert',
  file,
  line,
  column: 1,
  endLine: line,
  endColumn: 2,
  message: '',
  remedy: '',
  related: [],
  requirement: null,
  state: 'pencilled',
  reason: null,
  current: true,
  placed: true,
  fromAttempt: null,
  quotation: null,
  cost: 0,
})

const note = (id: string, file: string | null, line: number | null): Note => ({
  id,
  kind: 'note',
  file,
  line,
  endLine: null,
  body: id,
  html: id,
  keptAt: '2026-11-25T10:00:00Z',
  version: 1,
  placed: true,
  fromAttempt: null,
  quotation: null,
})

const draft = (id: string | null, file: string | null, line: number | null): Draft => ({
  id,
  file,
  line,
  body: '',
  kind: 'note',
})

const keys = (...of: Parameters<typeof marginOf>) => marginOf(...of).map(one => `${one.numeral} ${one.key}`)

describe('the margin of a leaf', () => {
  it('holds what is about that leaf, from top to bottom, numbered', () => {
    const findings = [finding('c', 'a.html', 9), finding('b', 'a.html', 2)]
    expect(keys('a.html', findings, [note('n', 'a.html', 5), note('other', 'b.html', 1)], null)).toEqual([
      '1 b',
      '2 n',
      '3 c',
    ])
  })

  it('puts what is about the whole file first', () => {
    expect(keys('a.html', [finding('b', 'a.html', 1), finding('a', 'a.html', null)], [], null)).toEqual(['1 a', '2 b'])
  })

  it('shows what is about the whole hand-in on a leaf of its own', () => {
    expect(keys(WHOLE, [], [note('n', null, null), note('a', 'a.html', 1)], null)).toEqual(['1 n'])
  })

  it('shows a note that is being changed once, where it is being written', () => {
    const notes = [note('n', 'a.html', 3), note('m', 'a.html', 4)]
    expect(keys('a.html', [], notes, draft('n', 'a.html', 3))).toEqual(['1 draft', '2 m'])
  })

  it('shows a new note beside the line it is written at', () => {
    expect(keys('a.html', [finding('a', 'a.html', 2)], [], draft(null, 'a.html', 1))).toEqual(['1 draft', '2 a'])
    expect(keys('b.html', [], [], draft(null, 'a.html', 1))).toEqual([])
  })
})
