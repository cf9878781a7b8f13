import {useCallback, useSyncExternalStore} from 'react'

const PLACE = 'links walked: '

const listeners = new Set<() => void>()
const known = new Map<string, ReadonlySet<string>>()
const NONE: ReadonlySet<string> = new Set()

/** A way from one page to another, as it is kept. */
export const way = (from: string, to: string) => `${from}\n${to}`

/** The ways that were walked in a hand-in, in this browser. */
export function walkedIn(handIn: string): ReadonlySet<string> {
  const read = known.get(handIn)
  if (read !== undefined) return read
  let kept: unknown
  try {
    kept = JSON.parse(localStorage.getItem(PLACE + handIn) ?? '[]')
  } catch {
    kept = []
  }
  const ways = Array.isArray(kept) ? new Set(kept.filter(one => typeof one === 'string')) : NONE
  known.set(handIn, ways)
  return ways
}

export function walk(handIn: string, from: string, to: string) {
  const ways = new Set([...walkedIn(handIn), way(from, to)])
  known.set(handIn, ways)
  localStorage.setItem(PLACE + handIn, JSON.stringify([...ways]))
  for (const listener of listeners) listener()
}

export const useWalked = (handIn: string) =>
  useSyncExternalStore(
    listener => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => walkedIn(handIn),
  )

export const useWalking = (handIn: string) =>
  useCallback((from: string, to: string) => walk(handIn, from, to), [handIn])
