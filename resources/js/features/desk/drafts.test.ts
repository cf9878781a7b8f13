// @vitest-environment happy-dom
import {beforeEach, describe, expect, it} from 'vitest'
import {forgetDrafts} from '../../lib/draftPlace'
import {readDraft} from './drafts'

const draft = {id: null, file: 'a.html', line: 3, body: 'Mind this', kind: 'note'}

describe('a note that is kept in the browser while it is written', () => {
  beforeEach(() => localStorage.clear())

  it.each([
    ['as it was', JSON.stringify(draft), draft],
    ['with its version', JSON.stringify({...draft, id: 'n', version: 2}), {...draft, id: 'n', version: 2}],
    ['nothing', null, null],
    ['half a text', '{"id": nu', null],
    ['a number', '7', null],
    ['a note without words', JSON.stringify({...draft, body: undefined}), null],
    ['a line that is a text', JSON.stringify({...draft, line: '3'}), null],
  ])('is read with care: %s', (_name, kept, read) => {
    expect(readDraft(kept)).toEqual(read)
  })

  it('is forgotten on logging out, and nothing else is', () => {
    localStorage.setItem('note being written: 1', JSON.stringify(draft))
    localStorage.setItem('note being written: 2', JSON.stringify(draft))
    localStorage.setItem('single keys', 'off')
    forgetDrafts()
    expect(Object.keys(localStorage)).toEqual(['single keys'])
  })
})
