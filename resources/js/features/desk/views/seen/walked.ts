import {useCallback} from 'react'
import {shared} from '../../../../ui/shared'

const PLACE = 'links walked: '

/** By hand-in, as they are asked for. */
const known = shared(new Map<string, ReadonlySet<string>>())
const NONE: ReadonlySet<string> = new Set()

/** A way from one page to another, as it is kept. */
export const way = (from: string, to: string) => `${from}\n${to}`

/** The ways that were walked in a hand-in, in this browser. */
export function walkedIn(handIn: string): ReadonlySet<string> {
  const read = known.get().get(handIn)
  if (read !== undefined) return read
  let kept: unknown
  try {
    kept = JSON.parse(localStorage.getItem(PLACE + handIn) ?? '[]')
  } catch {
    kept = []
  }
  const ways = Array.isArray(kept) ? new Set(kept.filter(one => typeof one === 'string')) : NONE
  known.get().set(handIn, ways)
  return ways
}

export function walk(handIn: string, from: string, to: string) {
  const ways = new Set([...walkedIn(handIn), way(from, to)])
  localStorage.setItem(PLACE + handIn, JSON.stringify([...ways]))
  known.set(new Map([...known.get(), [handIn, ways]]))
}

export const useWalked = (handIn: string) => known.usePart(() => walkedIn(handIn))

export const useWalking = (handIn: string) =>
  useCallback((from: string, to: string) => walk(handIn, from, to), [handIn])
