import type {Schemas} from './schemas'
import {hundredths} from './numbers'

/** Whether a requirement waits for somebody to judge it. */
export const isOpen = ({outcome, reason}: Pick<Schemas['DeskOutcome'], 'outcome' | 'reason'>): boolean =>
  outcome === 'not-judged' && reason === null

/** What a finding costs, such as "-1.25"; '' where it costs nothing. */
export const cost = (points: number): string => (points > 0 ? `-${points}` : '')

interface Place {
  file: string
  line: number | null
  message: string
  cost: number
}

/** Places that read alike as one, with what they cost together, to hundredths; in the order of the first. */
export function together<P extends Place>(places: readonly P[]): P[] {
  const byWords = new Map<string, P>()
  for (const place of places) {
    const key = `${place.file}\n${place.line}\n${place.message}`
    const known = byWords.get(key)
    byWords.set(key, known === undefined ? place : {...known, cost: hundredths(known.cost + place.cost)})
  }
  return [...byWords.values()]
}

/** Points that nobody has judged yet, in words; '' where there are none. */
export const notJudged = (open: number): string =>
  open > 0 ? `${open} ${open === 1 ? 'point' : 'points'} not judged yet` : ''
