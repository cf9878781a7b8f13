import {cleanup, render} from '@testing-library/react'
import {afterEach, describe, expect, it} from 'vitest'
import {Coded} from './Coded'
import {many} from '../lib/when'

describe('words', () => {
  afterEach(cleanup)

  it.each([
    [0, 'page', undefined, '0 pages'],
    [1, 'page', undefined, '1 page'],
    [2, 'page', undefined, '2 pages'],
    [1, 'entry', 'entries', '1 entry'],
    [3, 'entry', 'entries', '3 entries'],
  ])('count %i %s', (count, one, more, words) => {
    expect(many(count, one, more)).toBe(words)
  })

  it.each([
    ['Type `</h1>` here.', ['</h1>'], 'Type </h1> here.'],
    ['`<b>` and `<i>`', ['<b>', '<i>'], '<b> and <i>'],
    ['No code', [], 'No code'],
    ['One ` alone', [], 'One ` alone'],
    ['Not over\n`two\nlines`', [], 'Not over\n`two\nlines`'],
  ])('show code between backticks as code: %s', (text, code, shown) => {
    const {container} = render(<Coded>{text}</Coded>)
    expect([...container.querySelectorAll('code')].map(one => one.textContent)).toEqual(code)
    expect(container.textContent).toBe(shown)
  })
})
