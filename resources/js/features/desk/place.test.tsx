import {act, cleanup, renderHook} from '@testing-library/react'
import type {ReactNode} from 'react'
import {createMemoryRouter, RouterProvider} from 'react-router'
import {afterEach, describe, expect, it} from 'vitest'
import {readPlace, usePlace, writePlace, type Place} from './place'

const somewhere: Place = {leaf: 'a.html', view: 'source', mark: null, line: null}

describe('the place on a desk', () => {
  afterEach(cleanup)

  it.each<[string, Place]>([
    ['leaf=a.html&view=source', somewhere],
    ['leaf=&view=map', {...somewhere, leaf: '', view: 'map'}],
    ['leaf=a.html&view=both&mark=x&line=7', {...somewhere, view: 'both', mark: 'x', line: 7}],
  ])('is written as %s, and read from it', (address, place) => {
    expect(writePlace(place).toString()).toBe(address)
    expect(readPlace(new URLSearchParams(address), 'first.html')).toEqual(place)
  })

  it.each([
    ['', {...somewhere, leaf: 'first.html'}],
    ['leaf=a.html&line=none', somewhere],
  ])('takes what an address like "%s" lacks for granted', (address, place) => {
    expect(readPlace(new URLSearchParams(address), 'first.html')).toEqual(place)
  })

  function open(address = '/') {
    let inner: ReactNode = null
    const router = createMemoryRouter([{path: '*', Component: () => inner}], {initialEntries: [address]})
    const wrapper = ({children}: {children: ReactNode}) => {
      inner = children
      return <RouterProvider router={router} />
    }
    const {result} = renderHook(() => usePlace('first.html'), {wrapper})
    return {router, result}
  }

  it('goes by the newest place, however many changes come before the address follows', async () => {
    const {router, result} = open()
    await act(async () => {
      result.current.go({leaf: ''})
      result.current.go({view: 'both'})
      for (let line = 1; line <= 50; line++) result.current.go({line, mark: `mark ${line}`})
      await Promise.resolve()
    })
    expect(result.current.place).toEqual({leaf: '', view: 'both', mark: 'mark 50', line: 50})
    expect(router.state.location.search).toBe('?leaf=&view=both&mark=mark+50&line=50')
  })

  it('follows the browser back to the leaf before', async () => {
    const {router, result} = open('/?leaf=a.html&view=source')
    await act(() => {
      result.current.go({leaf: 'b.html'})
      return Promise.resolve()
    })
    await act(() => {
      result.current.go({line: 3})
      return Promise.resolve()
    })
    await act(() => router.navigate(-1))
    expect(result.current.place).toEqual(somewhere)
  })

  it('follows a link', async () => {
    const {router, result} = open('/?leaf=a.html&view=source')
    await act(() => router.navigate('/?leaf=c.html&view=map'))
    expect(result.current.place).toEqual({...somewhere, leaf: 'c.html', view: 'map'})
  })
})
