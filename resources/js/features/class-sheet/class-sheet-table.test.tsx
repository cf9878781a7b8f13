import {act, cleanup, renderHook} from '@testing-library/react'
import {afterEach, beforeEach, describe, expect, it, vi} from 'vitest'
import {useRowsInTurn, useSight} from './rowsInTurn'
import {neighbour} from './neighbour'

afterEach(cleanup)

describe('the arrow keys on the class sheet', () => {
  beforeEach(() => {
    document.body.innerHTML = `<table><tbody>
      <tr><th><a id="abel"></a></th><td>8</td><td><a id="abel1"></a></td><td></td><td><a id="abel3"></a></td></tr>
      <tr><th>Briony</th><td></td></tr>
      <tr><th><a id="corin"></a></th><td>3</td><td><a id="corin1"></a></td><td><a id="corin2"></a></td></tr>
    </tbody></table><a id="outside"></a>`
  })

  it.each([
    ['abel', 'ArrowRight', 'abel1'],
    ['abel1', 'ArrowRight', 'abel3'],
    ['abel3', 'ArrowRight', undefined],
    ['abel3', 'ArrowLeft', 'abel1'],
    ['abel1', 'ArrowLeft', 'abel'],
    ['abel', 'ArrowDown', 'corin'],
    ['abel1', 'ArrowDown', 'corin1'],
    ['abel3', 'ArrowDown', undefined],
    ['corin1', 'ArrowUp', 'abel1'],
    ['corin2', 'ArrowUp', undefined],
    ['abel', 'ArrowUp', undefined],
    ['abel', 'Enter', undefined],
    ['outside', 'ArrowDown', undefined],
  ])('lead from %s with %s to %s', (from, key, to) => {
    const at = document.getElementById(from)
    expect(at === null ? 'not there' : neighbour(at, key)?.id).toBe(to)
  })
})

describe('many rows that change', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  const wait = (turns = 1) => {
    for (let nth = 0; nth < turns; nth++)
      act(() => {
        vi.advanceTimersToNextTimer()
      })
  }
  const all = Array.from<unknown, number>({length: 100}, (_one, nth) => nth)
  const shownBy = (shown: (nth: number) => string | null) =>
    Object.fromEntries(
      ['old', 'new', null].map(value => [String(value), all.filter(nth => shown(nth) === value).length]),
    )

  it('show what is new in sight at once, and the rest in their turn', () => {
    const {result, rerender} = renderHook(({value}) => useRowsInTurn(value, 100, nth => nth >= 40 && nth < 60), {
      initialProps: {value: 'old'},
    })
    expect(shownBy(result.current)).toEqual({old: 20, new: 0, null: 80})
    wait()
    expect(shownBy(result.current)).toEqual({old: 45, new: 0, null: 55})
    wait(4)
    expect(shownBy(result.current)).toEqual({old: 100, new: 0, null: 0})

    rerender({value: 'new'})
    expect(shownBy(result.current)).toEqual({old: 80, new: 20, null: 0})
    // Turned back before all had their turn: none shows what is gone.
    wait()
    rerender({value: 'old'})
    expect(shownBy(result.current)).toEqual({old: 100, new: 0, null: 0})
    rerender({value: 'new'})
    wait(4)
    expect(shownBy(result.current)).toEqual({old: 0, new: 100, null: 0})
  })

  it('are in sight by how far their region is scrolled', () => {
    const region = document.createElement('div')
    const {result} = renderHook(() => useSight(region))
    const inSight = () => all.filter(nth => result.current(nth))
    expect([inSight()[0], inSight().at(-1)]).toEqual([0, 49])
    act(() => {
      region.scrollTop = 30 * 28
      region.dispatchEvent(new Event('scroll'))
    })
    expect([inSight()[0], inSight().at(-1)]).toEqual([20, 79])
  })
})
