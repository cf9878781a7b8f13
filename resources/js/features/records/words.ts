import type {Schemas} from '../../lib/schemas'
import {many} from '../../lib/when'

const DAY = 86_400_000

/** The day so many days before, such as 2024-11-26. */
export const daysAgo = (days: number, now: Date): string =>
  new Date(now.getTime() - days * DAY).toISOString().slice(0, 10)

/** How far records are that are written. */
export function howFar({state, done, of}: Schemas['RecordsView']): string {
  if (state === 'waiting')
    return of === 0
      ? 'They are about to be written; you need not wait here.'
      : `${done} of ${many(of, 'hand-in')} written.`
  if (state === 'ready') return 'Kept for a day.'
  if (state === 'failed')
    return 'They could not be written; the disk may be full. An administrator finds the cause in the log.'
  return ''
}
