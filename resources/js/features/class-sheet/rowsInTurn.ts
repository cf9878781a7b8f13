import {useCallback, useEffect, useState, useSyncExternalStore} from 'react'

/** Of a row, in pixels: all are equally high. */
export const ROW = 28

/** How many rows follow at a time, and the milliseconds between, in which keys and clicks are heard. */
const PORTION = 25
const PAUSE = 30
/** Rows from one place that counts as another to the next, and those that a tall window shows. */
const STEP = 10
const WINDOW = 50

/** Which of many rows of equal height are in sight, or nearly, in what scrolls. */
export function useSight(region: HTMLElement | null): (nth: number) => boolean {
  const listen = useCallback(
    (heard: () => void) => {
      region?.addEventListener('scroll', heard, {passive: true})
      return () => region?.removeEventListener('scroll', heard)
    },
    [region],
  )
  const first = useSyncExternalStore(listen, () => STEP * Math.floor((region?.scrollTop ?? 0) / (STEP * ROW)))
  return nth => nth >= first - STEP && nth < first + WINDOW
}

/**
 * What each of many rows shows, by its place: those in sight the newest value at once, and the others in their turn, a
 * portion at a time. Null for one that shows nothing yet.
 */
export function useRowsInTurn<T>(
  value: T,
  count: number,
  isInSight: (nth: number) => boolean,
): (nth: number) => T | null {
  const [turn, setTurn] = useState<{value: T; before: T | null; done: number}>({value, before: null, done: 0})
  if (turn.value !== value) setTurn({value, before: turn.done >= count ? turn.value : turn.before, done: 0})
  useEffect(() => {
    if (turn.done >= count) return undefined
    const next = setTimeout(() => setTurn({...turn, done: turn.done + PORTION}), PAUSE)
    return () => clearTimeout(next)
  }, [turn, count])
  return nth => (isInSight(nth) || nth < turn.done ? value : turn.before)
}
