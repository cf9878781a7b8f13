import type {Schemas} from '../lib/schemas'

/** When each answer was first seen: one that comes again unchanged is the same object. */
const firstSeen = new WeakMap<object, number>()

/** How long to wait before asking again, in milliseconds: soon at first, later and later while nothing changes. */
export function later(answer: object): number {
  const now = Date.now()
  const first = firstSeen.get(answer) ?? now
  firstSeen.set(answer, first)
  return Math.min(8000, Math.max(500, (now - first) / 4))
}

export const busy = (run: Schemas['RunView'] | null) => run?.state === 'queued' || run?.state === 'running'
