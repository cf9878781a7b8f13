import {cleanup, fireEvent, render, screen} from '@testing-library/react'
import {afterEach, beforeEach, describe, expect, it, vi} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {CheckPaper} from './CheckPaper'
import {TimeLeft} from './TimeLeft'

afterEach(cleanup)

describe('what a check says to a student', () => {
  const finding = {
    fingerprint: 'f',
    rule: 'markup/missing-alt',
    variant: '',
    file: 'a.html',
    line: 3,
    message: 'The picture has no `alt`.',
    remedy: 'Add `alt`.',
    cost: 0,
  }
  const check = (more: object = {}) =>
    ({sees: 'all', outcomes: [], findings: [], teachings: [], ...more}) as unknown as Schemas['MyCheck']
  const outcome = {title: 'Pictures', sentence: 'Two pictures', outcome: 'partly', awarded: null, possible: null}

  it.each([
    ['met', 'done:'],
    ['partly', 'partly done:'],
    ['unmet', 'not done yet:'],
    ['not-judged', 'your instructor judges this:'],
  ])('says of a requirement that is %s: %s', (is, words) => {
    render(<CheckPaper check={check({outcomes: [{...outcome, outcome: is}]})} />)
    expect(screen.getByText(words)).toBeTruthy()
  })

  it('tells points where the instructor lets them be seen', () => {
    render(<CheckPaper check={check({sees: 'points', outcomes: [{...outcome, awarded: 1.5, possible: 2}]})} />)
    expect(screen.getByText('1.5 of 2 points so far.')).toBeTruthy()
  })

  it('tells no points of what nobody has judged', () => {
    const open = {...outcome, outcome: 'not-judged', awarded: 0, possible: 2}
    render(<CheckPaper check={check({sees: 'points', outcomes: [open]})} />)
    expect(screen.queryByText(/so far/)).toBeNull()
  })

  it('praises a site in which nothing was found', () => {
    render(<CheckPaper check={check()} />)
    expect(screen.getByText('Nothing else was found. Well done!')).toBeTruthy()
  })

  it('says nothing of findings to those who see outcomes alone', () => {
    render(<CheckPaper check={check({sees: 'outcomes'})} />)
    expect(screen.queryByText(/Well done/)).toBeNull()
  })

  it('has a section for each file', () => {
    render(<CheckPaper check={check({findings: [finding, {...finding, fingerprint: 'g', file: ''}]})} />)
    expect(screen.getAllByRole('heading').map(head => head.textContent)).toEqual(['a.html', 'The whole site'])
  })

  it('says where a finding is, and what to do', () => {
    render(<CheckPaper check={check({findings: [finding]})} />)
    expect(screen.getByRole('region', {name: 'a.html'}).textContent).toContain(
      'Line 3: The picture has no alt.Add alt.',
    )
  })

  it('explains a rule with an example when it is asked', () => {
    const teaching = {
      rule: finding.rule,
      variant: '',
      title: 'Missing alt text',
      why: 'Some cannot see.',
      bad: 'b',
      good: 'g',
    }
    render(<CheckPaper check={check({findings: [finding], teachings: [teaching]})} />)
    expect(screen.queryByText('Some cannot see.')).toBeNull()
    fireEvent.click(screen.getByRole('button', {name: 'Why? Missing alt text'}))
    expect(screen.getByText('Some cannot see.')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', {name: 'Hide the example'}))
    expect(screen.queryByText('Some cannot see.')).toBeNull()
  })
})

describe('the time that is left', () => {
  beforeEach(() => {
    vi.useFakeTimers()
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  const work = (more: object = {}) =>
    ({
      dueAt: '2026-12-01T18:00:00Z',
      lateFrom: '2026-12-01T18:10:00Z',
      now: '2026-12-01T16:00:00Z',
      late: false,
      mostAttempts: null,
      attempts: [],
      timeZone: 'Europe/London',
      ...more,
    }) as unknown as Schemas['MyAssignment']

  it('counts down from the server’s clock', () => {
    render(<TimeLeft work={work()} onOver={() => undefined} />)
    expect(screen.getByRole('timer').textContent).toContain('2 hours left.')
  })

  it('is over at the due time, but not too late within the grace', () => {
    render(<TimeLeft work={work({now: '2026-12-01T18:05:00Z'})} onOver={() => undefined} />)
    expect(screen.getByRole('timer').textContent).toContain('the time is over, but you may still hand in.')
  })

  it('asks again once it is too late', () => {
    const onOver = vi.fn()
    render(<TimeLeft work={work({now: '2026-12-01T18:11:00Z'})} onOver={onOver} />)
    expect(onOver).toHaveBeenCalled()
  })

  it('does not ask again where the server knows that it is late', () => {
    const onOver = vi.fn()
    render(<TimeLeft work={work({now: '2026-12-01T18:11:00Z', late: true})} onOver={onOver} />)
    expect(onOver).not.toHaveBeenCalled()
  })

  it('is not there without a due time', () => {
    render(<TimeLeft work={work({dueAt: null, lateFrom: null})} onOver={() => undefined} />)
    expect(screen.getByText('There is no due time.')).toBeTruthy()
  })

  it('tells how many attempts were used', () => {
    render(<TimeLeft work={work({mostAttempts: 3, attempts: [{}, {}]})} onOver={() => undefined} />)
    expect(screen.getByRole('timer').textContent).toContain('2 of 3 attempts used.')
  })
})
