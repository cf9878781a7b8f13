import {describe, expect, it} from 'vitest'
import {ALL, choices, isShown, type Filter} from './filter'
import {gather, linesOf} from './gather'
import {marginOf, newDraft, type Finding, type Note} from './marks'

const finding = (fingerprint: string, line: number, more: Partial<Finding> = {}): Finding => ({
  fingerprint,
  rule: 'markup/missing-alt',
  variant: '',
  weight: 'fault',
  mark: 'insert',
  file: 'a.html',
  line,
  column: 1,
  endLine: line,
  endColumn: 2,
  message: `Picture ${fingerprint}`,
  remedy: '',
  related: [],
  requirement: null,
  state: 'pencilled',
  reason: null,
  current: true,
  placed: true,
  fromAttempt: null,
  cost: 0,
  quotation: null,
  ...more,
})

const note: Note = {
  id: 'note',
  kind: 'merit',
  file: 'a.html',
  line: 3,
  endLine: null,
  body: 'Good',
  html: 'Good',
  keptAt: '',
  version: 1,
  placed: true,
  fromAttempt: null,
  quotation: null,
}

describe('what is shown in the margin', () => {
  const items = marginOf(
    'a.html',
    [
      finding('alt', 1),
      finding('tidy', 2, {weight: 'tidy', rule: 'markup/indentation', state: 'inked'}),
      finding('asked', 4, {rule: 'nav/menu-differs', requirement: 'menu', state: 'rubbed-out'}),
    ],
    [note],
    newDraft('a.html', 9),
  )
  const shown = (filter: Partial<Filter>, chosen: string | null = null) =>
    items.filter(item => isShown({...ALL, ...filter}, item, chosen)).map(({key}) => key)

  it.each<[string, Partial<Filter>, string[]]>([
    ['all', {}, ['alt', 'tidy', 'note', 'asked', 'draft']],
    ['findings', {what: 'findings'}, ['alt', 'tidy', 'asked', 'draft']],
    ['notes', {what: 'notes'}, ['note', 'draft']],
    ['faults', {weight: 'fault'}, ['alt', 'asked', 'draft']],
    ['what is in ink, notes with it', {state: 'inked'}, ['tidy', 'note', 'draft']],
    ['one kind', {rule: 'markup/missing-alt'}, ['alt', 'draft']],
    ['one requirement', {requirement: 'menu'}, ['asked', 'draft']],
  ])('is narrowed to %s, and never without what is being written', (_name, filter, keys) => {
    expect(shown(filter)).toEqual(keys)
  })

  it('always has what is chosen', () => {
    expect(shown({weight: 'tidy'}, 'alt')).toEqual(['alt', 'tidy', 'draft'])
  })

  it('offers what there is to choose from', () => {
    const found = items.flatMap(item => (item.kind === 'finding' ? [item.finding] : []))
    expect(choices(found)).toEqual({
      weight: ['fault', 'tidy'],
      state: ['inked', 'pencilled', 'rubbed-out'],
      rule: ['markup/indentation', 'markup/missing-alt', 'nav/menu-differs'],
      requirement: ['menu'],
    })
  })
})

describe('repeated findings', () => {
  const of = (findings: Finding[]) => marginOf('a.html', findings, [], null)
  const keys = (items: ReturnType<typeof of>, opened: string[] = [], chosen: string | null = null) =>
    gather(items, new Set(opened), chosen).map(({item, more}) => [item.key, ...more.map(one => one.key)].join(' '))
  const four = of([1, 2, 3, 4].map(line => finding(`f${line}`, line)))

  it('are one that tells how many more there are', () => {
    expect(keys(four)).toEqual(['f1 f2 f3 f4'])
    expect(gather(four, new Set(), null)[0]?.alike).toBe('kind')
  })

  it('stay each by itself where they are few, of another kind, or in another state', () => {
    expect(keys(of([finding('a', 1), finding('b', 2)]))).toEqual(['a', 'b'])
    const mixed = [finding('a', 1), finding('b', 2, {state: 'inked'}), finding('c', 3), finding('d', 4, {variant: 'x'})]
    expect(keys(of(mixed))).toEqual(['a', 'b', 'c', 'd'])
  })

  it('are shown one by one when that was asked for, or one of them is chosen', () => {
    expect(keys(four, ['f1'])).toEqual(['f1', 'f2', 'f3', 'f4'])
    expect(keys(four, [], 'f3')).toEqual(['f1', 'f2', 'f3', 'f4'])
    expect(keys(four, [], 'f1')).toEqual(['f1 f2 f3 f4'])
  })

  it('are gathered on a crowded line, whatever their kind', () => {
    const crowd = of(['a', 'b', 'c'].map(name => finding(name, 7, {rule: name})))
    expect(keys(crowd)).toEqual(['a b c'])
    expect(gather(crowd, new Set(), null)[0]?.alike).toBe('line')
  })

  it('lose none, and show none twice', () => {
    const many = of(
      Array.from({length: 60}, (_, at) => finding(`f${at}`, at % 7, {rule: `r${at % 5}`, variant: `v${at % 3}`})),
    )
    const all = gather(many, new Set(), null).flatMap(({item, more}) => [item.key, ...more.map(one => one.key)])
    expect(all.sort()).toEqual(many.map(({key}) => key).sort())
  })

  it.each([
    [[2], 'line 2'],
    [[2, 3, 3], 'lines 2, 3'],
    [[1, 2, 3, 4, 5, 6], 'lines 1, 2, 3, 4 and 2 more'],
  ])('tell on which lines %j they are', (lines, words) => {
    expect(linesOf(of(lines.map((line, at) => finding(`f${at}`, line))))).toBe(words)
  })
})
