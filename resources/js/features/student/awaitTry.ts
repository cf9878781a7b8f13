import {ApiError} from '../../lib/apiError'
import type {Schemas} from '../../lib/schemas'
import {persist} from '../../lib/chunkedUpload'
import {many} from '../../lib/when'

type Try = Schemas['MyTry']

/** Milliseconds between two questions: most tries are over after one or two. */
const FIRST = 200
const LONGEST = 1_500

/**
 * Asks how far a try is until it is over.
 *
 * @param tell called with each answer
 * @param signal ends the waiting with an `AbortError`
 * @returns what the check says; throws `ApiError` with the server's words where there is no result
 */
export async function awaitTry(
  ask: () => Promise<Try>,
  tell: (now: Try) => void,
  signal: AbortSignal,
  pause: (milliseconds: number) => Promise<void> = sleep,
): Promise<Schemas['MyCheck']> {
  for (let wait = FIRST; ; wait = Math.min(wait * 1.5, LONGEST)) {
    const now = await persist(ask)
    signal.throwIfAborted()
    if (now.check !== null) return now.check
    if (now.state === 'failed') throw new ApiError(now.trouble ?? 'The check broke off. Try again.', 422)
    tell(now)
    await pause(wait)
    signal.throwIfAborted()
  }
}

/** How far it is, for the student. */
export function tryWords({state, ahead}: Try): string {
  if (state === 'running') return 'Checking your site…'
  return ahead === 0 ? 'Your site is checked next…' : `${many(ahead, 'other site')} will be checked before yours…`
}

const sleep = (milliseconds: number) => new Promise<void>(resolve => setTimeout(resolve, milliseconds))
