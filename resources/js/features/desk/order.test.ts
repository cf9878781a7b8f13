// @vitest-environment happy-dom
import {beforeEach, describe, expect, it} from 'vitest'
import {readOrder} from '../../api/readingOrder'
import {walk, walkedIn, way} from './views/seen/walked'

describe('the order in which a class is read', () => {
  it.each([
    [null, {by: 'name', rule: null}],
    ['{"by": "unread", "rule": null}', {by: 'unread', rule: null}],
    ['{"by": "points"}', {by: 'points', rule: null}],
    ['{"by": "name", "rule": "link/missing-file"}', {by: 'name', rule: 'link/missing-file'}],
    ['{"by": "luck"}', {by: 'name', rule: null}],
    ['{"by": "na', {by: 'name', rule: null}],
    ['7', {by: 'name', rule: null}],
  ])('is read with care from %s', (kept, order) => {
    expect(readOrder(kept)).toEqual(order)
  })
})

describe('the links that were walked', () => {
  beforeEach(() => localStorage.clear())

  it('are known again, each hand-in by itself', () => {
    walk('one', 'a.html', 'b.html')
    walk('one', 'b.html', 'a.html')
    walk('one', 'a.html', 'b.html')
    expect([...walkedIn('one')]).toEqual([way('a.html', 'b.html'), way('b.html', 'a.html')])
    expect(walkedIn('two').size).toBe(0)
    expect(localStorage.length).toBe(1)
  })

  it('are none where what was kept is not what it was', () => {
    localStorage.setItem('links walked: three', '{"a": ')
    expect(walkedIn('three').size).toBe(0)
  })
})
