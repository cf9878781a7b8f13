import {describe, expect, it} from 'vitest'
import {elementAt, fillBlanks, firstName, forRule} from './words'

describe('a stock remark', () => {
  const place = {student: 'Abel Fennimore', file: 'index.html', line: 3, text: '  <p><img src="a.png">', column: 6}

  it('has its blanks filled in from the place, and keeps those that nothing fills', () => {
    expect(fillBlanks('{student.first}: `<{element}>` in {file}, line {line}. {why}', place)).toBe(
      'Abel: `<img>` in index.html, line 3. {why}',
    )
    expect(fillBlanks('{element} in {file}', {...place, file: null, line: null, text: ''})).toBe('{element} in {file}')
  })

  it.each([
    ['<p><img>', 4, 'img'],
    ['<p>text <b>', 6, 'p'],
    ['text <b>', 1, 'b'],
    ['</Em>', 1, 'em'],
    ['🐦<my-tag>', 2, 'my-tag'],
    ['no tag', 1, null],
  ])('is about the element of %s at column %i', (text, column, element) => {
    expect(elementAt(text, column)).toBe(element)
  })

  it.each([
    ['Abel Fennimore', 'Abel'],
    ['Fennimore, Abel Quill', 'Abel'],
    ['Imre', 'Imre'],
  ])('calls %s %s', (student, first) => {
    expect(firstName(student)).toBe(first)
  })

  it('is offered first where it was used for the same kind of finding', () => {
    const remark = (body: string, uses: number, rules: string[]) => ({
      id: body,
      body,
      merit: false,
      shared: true,
      uses,
      rules,
    })
    const remarks = [remark('often', 9, []), remark('fits', 1, ['link/empty']), remark('seldom', 2, [])]
    expect(forRule(remarks, 'link/empty').map(({body}) => body)).toEqual(['fits', 'often', 'seldom'])
    expect(forRule(remarks, null).map(({body}) => body)).toEqual(['often', 'seldom', 'fits'])
  })
})
