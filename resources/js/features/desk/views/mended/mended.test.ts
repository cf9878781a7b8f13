// @vitest-environment happy-dom
import {describe, expect, it} from 'vitest'
import {applied, editsOfKind, inOrder, shownAsLines, type Edit, type MendedFinding} from './edits'
import {inShort} from './MendedView'

const finding = (rule: string, edits: Edit[], fresh = false): MendedFinding => ({
  fingerprint: `${rule} ${edits[0]?.from ?? 0}`,
  rule,
  variant: '',
  weight: 'fault',
  mark: 'change',
  line: 1,
  from: 0,
  to: 1,
  message: '',
  remedy: '',
  fresh,
  edits,
})

const put = (from: number, to: number, insert: string): Edit => ({from, to, insert})

describe('changes that mend a page', () => {
  it('are made from the first to the last, in whichever order they come', () => {
    expect(applied('one two three', [put(8, 13, '3'), put(0, 3, '1'), put(4, 4, 'and ')])).toBe('1 and two 3')
  })

  it('never touch one place twice', () => {
    expect(inOrder([put(2, 6, 'a'), put(4, 8, 'b'), put(6, 6, 'c')])).toEqual([put(2, 6, 'a'), put(6, 6, 'c')])
    expect(applied('x', [put(1, 1, 'y'), put(1, 1, 'y')])).toBe('xy')
  })

  it('are taken for all of a kind, but for those that another touches', () => {
    const all = [
      finding('a', [put(0, 2, '')]),
      finding('b', [put(3, 4, '')]),
      finding('a', [put(1, 3, '')]),
      finding('a', [put(8, 9, '')]),
    ]
    expect(editsOfKind(all, all[0] ?? finding('a', []))).toEqual([put(0, 2, ''), put(8, 9, '')])
  })

  it.each<[string, Edit[], ReturnType<typeof shownAsLines>]>([
    ['a change in a line', [put(3, 4, 'B')], {line: 2, before: ['bc'], after: ['Bc']}],
    ['lines that become one', [put(2, 6, '')], {line: 1, before: ['aa', 'bc', 'd'], after: ['aad']}],
    ['a line that comes', [put(6, 6, 'c\n')], {line: 3, before: ['d'], after: ['c', 'd']}],
    ['two places', [put(0, 1, 'A'), put(4, 5, 'C')], {line: 1, before: ['aa', 'bc'], after: ['Aa', 'bC']}],
    ['none', [], {line: 1, before: [], after: []}],
  ])('are shown as the lines that they touch: %s', (_name, edits, expected) => {
    expect(shownAsLines('aa\nbc\nd', edits)).toEqual(expected)
  })
})

describe('a mended copy in short', () => {
  const [old, fresh] = [finding('a', []), finding('b', [], true)]
  it.each([
    [[], [], 'Nothing is found on it'],
    [[], ['x', 'y'], 'All 2 are gone'],
    [[old], [], '1 finding on it'],
    [[old], ['x'], '1 gone, 1 still there'],
    [[old, fresh], ['x'], '1 gone, 1 still there, 1 new'],
  ])('of %j and %j says “%s”', (findings, gone, words) => {
    expect(inShort({findings, gone})).toBe(words)
  })
})
