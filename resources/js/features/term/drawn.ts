import type {Schemas} from '../../lib/schemas'

/** So many assignments are drawn with their slips, the last ones; the table has all. */
const MAX_DRAWN = 6

/** The assignments whose slips are drawn, with their places: those that came from the class, or from one student. */
export const drawnOf = (work: Schemas['TermWork'][], isOwn: boolean) =>
  work
    .map((one, place) => ({one, place}))
    .filter(({one}) => (isOwn ? one.own !== null : one.handIns > 0))
    .slice(-MAX_DRAWN)

export const number = (value: number | null) => (value === null ? '–' : String(value))

/** Where a student stands in the class, in a word. */
export function alongside({own, low, middle, high}: Schemas['TermWork']): string {
  if (own === null || low === null || middle === null || high === null) return ''
  if (own > high) return 'the upper quarter'
  if (own < low) return 'the lower quarter'
  return own >= middle ? 'the upper half' : 'the lower half'
}

/** The kinds with their values for each assignment: how common in the class, or how often with one student. */
export const ofKinds = (kinds: Schemas['TermKind'][], isOwn: boolean): {rule: string; values: (number | null)[]}[] =>
  kinds
    .map(({rule, shares, own}) => ({rule, values: isOwn ? own : shares}))
    .filter(({values}) => values.some(value => value !== null && value > 0))
