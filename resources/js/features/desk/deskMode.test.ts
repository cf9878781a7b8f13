import {describe, expect, it} from 'vitest'
import {changeMode, firstMode, type ModeChange} from './deskMode'
import {ALL} from './margin/filter'

const after = (...changes: ModeChange[]) => changes.reduce(changeMode, firstMode(null))

describe('what is open on a desk', () => {
  it('begins with all marks shown and nothing asked', () => {
    expect(firstMode(null)).toEqual({
      filter: ALL,
      asksAlike: null,
      asksWhy: null,
      opened: new Set(),
      points: {isOpen: false, requirement: null},
    })
  })

  it('begins with the requirement that the address leads to', () => {
    expect(firstMode('menu').points).toEqual({isOpen: true, requirement: 'menu'})
  })

  it('filters what the margin shows', () => {
    expect(after({change: 'filter', to: {...ALL, rule: 'a/b'}}).filter.rule).toBe('a/b')
  })

  it('asks about all that are alike, of another finding too', () => {
    expect(after({change: 'ask alike', of: 'one'}, {change: 'ask alike', of: 'two'}).asksAlike).toBe('two')
  })

  it('asks about all that are alike by a key, and folds it by the same key', () => {
    expect(after({change: 'fold or ask alike', of: 'one'}).asksAlike).toBe('one')
    expect(after({change: 'ask alike', of: 'one'}, {change: 'fold or ask alike', of: 'one'}).asksAlike).toBeNull()
  })

  it('asks for a reason, and asks no more', () => {
    expect(after({change: 'ask why', of: 'one'}).asksWhy).toBe('one')
    expect(after({change: 'ask why', of: 'one'}, {change: 'ask why', of: null}).asksWhy).toBeNull()
  })

  it('keeps open what was opened before', () => {
    expect(after({change: 'open', key: 'one'}, {change: 'open', key: 'two'}).opened).toEqual(new Set(['one', 'two']))
  })

  it('unfolds the points at a requirement, and folds them', () => {
    const shown = after({change: 'show requirement', requirement: 'menu'})
    expect(shown.points).toEqual({isOpen: true, requirement: 'menu'})
    expect(changeMode(shown, {change: 'fold or unfold points'}).points).toEqual({isOpen: false, requirement: null})
  })

  it('leaves the rest as it is', () => {
    const before = after({change: 'filter', to: {...ALL, rule: 'a/b'}}, {change: 'open', key: 'one'})
    expect(changeMode(before, {change: 'ask why', of: 'x'})).toEqual({...before, asksWhy: 'x'})
  })
})
