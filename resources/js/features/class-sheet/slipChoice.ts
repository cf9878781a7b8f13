import type {Schemas} from '../../lib/schemas'
import {many} from '../../lib/when'

export type Spot = Schemas['SlipSpot']

export const keyOf = ({handInId, fingerprint}: Spot) => `${handInId} ${fingerprint}`

/** How many places in how many hand-ins, and how many of them are decided. */
export function inStrip(spots: Spot[], more: number): string {
  const handIns = new Set(spots.map(spot => spot.handInId)).size
  const pencilled = spots.filter(spot => spot.state === 'pencilled').length
  const all = many(spots.length + more, 'place')
  if (spots.length === 0) return 'Nothing found.'
  return `${all}${more > 0 ? '' : ` in ${many(handIns, 'hand-in')}`}, ${pencilled === 0 ? 'all decided' : `${pencilled} in pencil`}.`
}
