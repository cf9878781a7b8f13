import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {meritsOf, noteOf, pointsOf, remarksOf} from './content'

describe('what is released', () => {
  it('has what is praised apart from the rest', () => {
    const content = {
      pages: [
        {file: '', items: [{kind: 'merit', text: 'Good'}]},
        {
          file: 'a.html',
          items: [
            {kind: 'merit', text: 'Well'},
            {kind: 'note', text: 'Mind'},
          ],
        },
      ],
    } as Schemas['ReplyContent']
    expect(meritsOf(content).map(({file, item}) => [file, item.text])).toEqual([
      ['', 'Good'],
      ['a.html', 'Well'],
    ])
    expect(remarksOf(content).map(({file, items}) => [file, items.length])).toEqual([['a.html', 1]])
  })

  it.each([
    ['partly', '4 of 5', {how: 'x', reason: null}],
    ['not-judged', 'not judged yet, 5 can be had', {how: null, reason: null}],
    ['not-judged', '4 of 5', {how: null, reason: 'seen'}],
  ] as const)('says the points of what is %s: %s', (outcome, words, more) => {
    expect(pointsOf({title: 't', outcome, awarded: 4, possible: 5, reasons: [], ...more})).toBe(words)
  })

  it.each([
    ['met', 5, null, null],
    ['partly', 4, null, '80 % of 5'],
    ['met', 5, 'seen', '80 % of 5'],
    ['not-judged', 0, null, null],
  ] as const)('says how points came about where they are %s, %d: %s', (outcome, awarded, reason, note) => {
    expect(noteOf({title: 't', outcome, awarded, possible: 5, reason, how: '80 % of 5', reasons: []})).toBe(note)
  })
})
