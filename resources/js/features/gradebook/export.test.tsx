import {cleanup, fireEvent, render, screen} from '@testing-library/react'
import {afterEach, describe, expect, it} from 'vitest'
import {Export} from './Export'

afterEach(cleanup)

describe('the gradebook as a file', () => {
  it('can be had as CSV, with a byte order mark, XLSX and OpenDocument', () => {
    render(<Export courseId="c" />)
    fireEvent.click(screen.getByRole('button', {name: 'Download'}))
    expect(screen.getAllByRole('menuitem').map(item => item.getAttribute('href'))).toEqual([
      '/api/courses/c/gradebook.csv',
      '/api/courses/c/gradebook.csv?bom=1',
      '/api/courses/c/gradebook.xlsx',
      '/api/courses/c/gradebook.ods',
    ])
  })
})
