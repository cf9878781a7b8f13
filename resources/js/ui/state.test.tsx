import {cleanup, render, screen} from '@testing-library/react'
import {afterEach, describe, expect, it} from 'vitest'
import type {Schemas} from '../lib/schemas'
import {CostTag} from './CostTag'
import {ExtensionNote} from './ExtensionNote'
import {ProofMark} from './ProofMark'
import {Quoted} from './Quoted'
import {Empty, ErrorText} from './Remark'
import {RuledTable} from './RuledTable'
import {RunState} from './RunState'
import {Tally} from './Tally'
import {Waiting} from './Waiting'
import {WrongAndRight} from './WrongAndRight'

afterEach(cleanup)

const run = (more: Partial<Schemas['RunView']>): Schemas['RunView'] => ({
  state: 'finished',
  steps: 0,
  done: 0,
  trouble: null,
  ...more,
})

describe('how far a check is', () => {
  it('shows what it is around once it is done', () => {
    render(<RunState run={run({})}>three findings</RunState>)
    expect(screen.getByText('three findings')).toBeTruthy()
  })

  it.each([
    ['waiting', 'waits for a brief'],
    ['queued', 'waits for its check'],
    ['running', 'is being checked'],
  ] as const)('says of one that is %s: %s', (state, words) => {
    render(<RunState run={run({state})}>three findings</RunState>)
    expect(screen.getByText(words)).toBeTruthy()
    expect(screen.queryByText('three findings')).toBeNull()
  })

  it('says why it failed', () => {
    render(<RunState run={run({state: 'failed', trouble: 'The server went away.'})}>x</RunState>)
    expect(screen.getByText('The check failed: The server went away.')).toBeTruthy()
  })

  it.each([
    [0, 0, '0'],
    [4, 1, '25'],
    [4, 4, '100'],
  ])('has a bar: %d steps, %d done, %s percent', (steps, done, percent) => {
    render(<RunState run={run({state: 'running', steps, done})}>x</RunState>)
    expect(screen.getByRole('progressbar', {name: 'Check'}).getAttribute('aria-valuenow')).toBe(percent)
  })
})

describe('a tally', () => {
  it.each([
    [{pencilled: 0, inked: 0, rubbedOut: 0}, 'nothing found'],
    [{pencilled: 2, inked: 0, rubbedOut: 0}, '2 in pencil'],
    [{pencilled: 1, inked: 3, rubbedOut: 4}, '1 in pencil, 3 in ink, 4 rubbed out'],
  ])('says in words what its strokes show: %j', (counts, words) => {
    render(<Tally {...counts} />)
    expect(screen.getByText(words)).toBeTruthy()
  })

  it('draws 24 strokes at most', () => {
    const {container} = render(<Tally pencilled={100} inked={0} rubbedOut={0} />)
    expect(container.querySelectorAll('[aria-hidden] > span')).toHaveLength(24)
  })
})

describe('what something costs', () => {
  it('is shown', () => {
    render(<CostTag points={0.5} />)
    expect(screen.getByTitle('What it costs').textContent).toContain('0.5')
  })

  it('is not shown where it is free', () => {
    const {container} = render(<CostTag points={0} />)
    expect(container.textContent).toBe('')
  })
})

describe('an extension', () => {
  const extension = {group: null, dueAt: null, waived: true, excused: false, reason: 'ill'}

  it('says what it is, and the reason to markers', () => {
    render(<ExtensionNote extension={extension as Schemas['ExtensionView']} timeZone="Europe/London" />)
    expect(screen.getByText(/^Extension: lateness does not count\. .*: ill$/)).toBeTruthy()
  })

  it('names the group', () => {
    render(
      <ExtensionNote extension={{...extension, group: 'B'} as Schemas['ExtensionView']} timeZone="Europe/London" />,
    )
    expect(screen.getByText(/^Extension of group B:/)).toBeTruthy()
  })
})

describe('lines of a file', () => {
  const lines = [
    {number: 3, before: '<p>', meant: 'x', after: '</p>'},
    {number: 4, before: '<hr>', meant: '', after: ''},
  ]

  it('have a stroke under what is meant, and only there', () => {
    const {container} = render(<Quoted lines={lines} />)
    expect([...container.querySelectorAll('mark')].map(mark => mark.textContent)).toEqual(['x'])
  })

  it('have their numbers', () => {
    const {container} = render(<Quoted lines={lines} />)
    expect([...container.querySelectorAll('.number')].map(one => one.textContent)).toEqual(['3', '4'])
  })

  it('have no numbers where none are wanted', () => {
    const {container} = render(<Quoted lines={lines} isNumbered={false} />)
    expect(container.querySelector('.number')).toBeNull()
  })

  it('are not there where none are told', () => {
    const {container} = render(<Quoted lines={[]} />)
    expect(container.textContent).toBe('')
  })
})

describe('words beside a screen', () => {
  it('tell an error, with every line of it', () => {
    render(<ErrorText error={new Error('one\ntwo')} />)
    expect(screen.getByRole('alert').textContent).toBe('one\ntwo')
  })

  it('tell nothing where nothing went wrong', () => {
    render(<ErrorText error={null} />)
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('tell that something is on its way', () => {
    render(<Waiting>Fetching…</Waiting>)
    expect(screen.getByRole('status').textContent).toBe('Fetching…')
  })

  it('tell what to do first', () => {
    render(<Empty>No hand-ins yet.</Empty>)
    expect(screen.getByText('No hand-ins yet.')).toBeTruthy()
  })
})

describe('a proof mark', () => {
  it.each(['insert', 'take-out', 'change', 'move', 'look'])('has a name for whoever cannot see it: %s', mark => {
    const {container} = render(<ProofMark mark={mark} />)
    expect(container.querySelector('title')?.textContent).toBeTruthy()
    expect(container.querySelector('path')?.getAttribute('d')).not.toBe('')
  })

  it('of an unknown kind is named as it is', () => {
    const {container} = render(<ProofMark mark="other" />)
    expect(container.querySelector('title')?.textContent).toBe('other')
  })
})

describe('a table', () => {
  it('has a name and heads', () => {
    render(
      <RuledTable caption="Students" heads={['Name', '']}>
        <tr>
          <td>Willa</td>
        </tr>
      </RuledTable>,
    )
    expect(screen.getByRole('table', {name: 'Students'})).toBeTruthy()
    expect(screen.getAllByRole('columnheader').map(head => head.textContent)).toEqual(['Name', ''])
  })
})

describe('an example', () => {
  it('shows what is wrong before what is right', () => {
    const {container} = render(<WrongAndRight bad="<b>" good="<b></b>" />)
    expect([...container.querySelectorAll('pre')].map(code => code.textContent)).toEqual(['<b>', '<b></b>'])
  })
})
