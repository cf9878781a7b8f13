import {cleanup, fireEvent, render, screen} from '@testing-library/react'
import {afterEach, describe, expect, it, vi} from 'vitest'
import {KeyboardProvider, useKeyboard, useKeys, type Key} from './keys'

function Place({keys}: {keys: Key[]}) {
  useKeys(keys)
  return (
    <>
      <button>here</button>
      <input aria-label="field" />
      <ul role="listbox" aria-label="list" tabIndex={0} />
      <div role="combobox" aria-label="choice" aria-expanded={false} aria-controls="x" tabIndex={0} />
      <div role="dialog">
        <button>in a dialog</button>
      </div>
    </>
  )
}

function Shown() {
  const {keys, isOn, turn} = useKeyboard()
  return (
    <>
      <p>{keys.map(({key, does}) => `${key}: ${does}`).join(', ')}</p>
      <button onClick={() => turn(!isOn)}>switch</button>
    </>
  )
}

function Inner({keys}: {keys: Key[]}) {
  useKeys(keys)
  return null
}

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
    for (const taken of ['field', 'list', 'choice']) fireEvent.keyDown(screen.getByLabelText(taken), {key: 'n'})
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

  it('are those of the inner place where it has its own', () => {
    const [outer, inner, other] = [vi.fn(), vi.fn(), vi.fn()]
    render(
      <KeyboardProvider>
        <Place
          keys={[
            {key: 'n', does: 'next', run: outer},
            {key: 'b', does: 'back', run: other},
          ]}
        />
        <Inner keys={[{key: 'n', does: 'next page', run: inner}]} />
        <Shown />
      </KeyboardProvider>,
    )
    fireEvent.keyDown(screen.getByText('here'), {key: 'n'})
    fireEvent.keyDown(screen.getByText('here'), {key: 'b'})
    expect([outer, inner, other].map(one => one.mock.calls.length)).toEqual([0, 1, 1])
    expect(screen.getByText('n: next page, b: back')).toBeTruthy()
  })

  it('can be turned off, and stay off', () => {
    const run = vi.fn()
    const {unmount} = render(place([{key: 'n', does: 'next', run}]))
    fireEvent.click(screen.getByText('switch'))
    fireEvent.keyDown(screen.getByText('here'), {key: 'n'})
    unmount()
    render(place([{key: 'n', does: 'next', run}]))
    fireEvent.keyDown(screen.getByText('here'), {key: 'n'})
    expect(run).not.toHaveBeenCalled()
    fireEvent.click(screen.getByText('switch'))
    fireEvent.keyDown(screen.getByText('here'), {key: 'n'})
    expect(run).toHaveBeenCalledTimes(1)
  })
})
