import {cleanup, fireEvent, render, screen} from '@testing-library/react'
import {afterEach, describe, expect, it, vi} from 'vitest'
import {KeyboardProvider, useKeys, useShownKeys, type Key} from '../../resources/js/parts/keys'

function Place({keys}: {keys: Key[]}) {
  useKeys(keys)
  return (
    <>
      <button>here</button>
      <input aria-label="field" />
      <div role="dialog">
        <button>in a dialog</button>
      </div>
    </>
  )
}

const Shown = () => <p>{useShownKeys().map(({key, does}) => `${key}: ${does}`).join(', ')}</p>

const place = (keys: Key[]) => (
  <KeyboardProvider>
    <Place keys={keys} />
    <Shown />
  </KeyboardProvider>
)

describe('the keys of a screen', () => {
  afterEach(cleanup)

  it('work anywhere but where something is typed or asked', () => {
    const run = vi.fn()
    render(place([{key: 'n', does: 'next', run}]))
    fireEvent.keyDown(screen.getByText('here'), {key: 'n'})
    expect(run).toHaveBeenCalledTimes(1)
    fireEvent.keyDown(screen.getByLabelText('field'), {key: 'n'})
    fireEvent.keyDown(screen.getByText('in a dialog'), {key: 'n'})
    expect(run).toHaveBeenCalledTimes(1)
  })

  it.each(['ctrlKey', 'metaKey', 'altKey'])('leave a key with %s to the browser', modifier => {
    const run = vi.fn()
    render(place([{key: 'n', does: 'next', run}]))
    fireEvent.keyDown(screen.getByText('here'), {key: 'n', [modifier]: true})
    expect(run).not.toHaveBeenCalled()
  })

  it('do what the newest render says', () => {
    const [first, second] = [vi.fn(), vi.fn()]
    const {rerender} = render(place([{key: 'n', does: 'next', run: first}]))
    rerender(place([{key: 'n', does: 'next', run: second}]))
    fireEvent.keyDown(screen.getByText('here'), {key: 'n'})
    expect(first).not.toHaveBeenCalled()
    expect(second).toHaveBeenCalledTimes(1)
  })

  it('are shown, and are gone with their screen', () => {
    const {rerender} = render(place([{key: 'n', does: 'next', run: vi.fn()}]))
    expect(screen.getByText('n: next')).toBeTruthy()
    rerender(
      <KeyboardProvider>
        <Shown />
      </KeyboardProvider>,
    )
    expect(screen.queryByText('n: next')).toBeNull()
  })
})
