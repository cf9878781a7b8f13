import {describe, expect, it} from 'vitest'
import {ApiError} from '../../lib/apiError'
import type {Schemas} from '../../lib/schemas'
import {awaitTry, tryWords} from './awaitTry'

type Try = Schemas['MyTry']

const waiting = (ahead: number): Try => ({state: 'waiting', ahead, trouble: null, check: null})
const running: Try = {state: 'running', ahead: 0, trouble: null, check: null}
const check: Schemas['MyCheck'] = {sees: 'all', outcomes: [], findings: [], teachings: []}
const noPause = () => Promise.resolve()

/** Answers one after the other. */
const server = (answers: Try[]) => () => Promise.resolve(answers.shift() ?? running)

describe('a site that is tried', () => {
  it('is waited for until its check is there, and tells how far it is', async () => {
    const told: string[] = []
    const ask = server([waiting(2), waiting(0), running, {...running, state: 'finished', check}])
    expect(await awaitTry(ask, now => told.push(tryWords(now)), new AbortController().signal, noPause)).toBe(check)
    expect(told).toEqual([
      '2 other sites will be checked before yours…',
      'Your site is checked next…',
      'Checking your site…',
    ])
  })

  it('says why there is no result', async () => {
    const ask = server([{...running, state: 'failed', trouble: 'That is not a zip.'}])
    await expect(awaitTry(ask, () => undefined, new AbortController().signal, noPause)).rejects.toEqual(
      new ApiError('That is not a zip.', 422),
    )
  })

  it('is no longer asked for once its student has gone', async () => {
    const page = new AbortController()
    let asked = 0
    const ask = () => {
      if (++asked === 3) page.abort()
      return Promise.resolve(running)
    }
    await expect(awaitTry(ask, () => undefined, page.signal, noPause)).rejects.toThrow()
    expect(asked).toBe(3)
  })
})
