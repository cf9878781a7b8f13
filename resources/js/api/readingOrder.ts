import {shared} from '../ui/shared'

/** In which order a class is read. */
export interface Order {
  by: 'name' | 'unread' | 'points'
  /** only hand-ins in which this rule found something; null for all */
  rule: string | null
}

const PLACE = 'the order in which a class is read'
const BY_NAME: Order = {by: 'name', rule: null}

/** What was kept in the browser, or by name where that is none. */
export function readOrder(kept: string | null): Order {
  let order: unknown
  try {
    order = JSON.parse(kept ?? 'null')
  } catch {
    return BY_NAME
  }
  if (typeof order !== 'object' || order === null) return BY_NAME
  const {by, rule} = order as Record<string, unknown>
  if (by !== 'name' && by !== 'unread' && by !== 'points') return BY_NAME
  return {by, rule: typeof rule === 'string' ? rule : null}
}

/** It stays from hand-in to hand-in. */
const order = shared(readOrder(localStorage.getItem(PLACE)))

/** The order that is chosen now. */
export const readingOrder = order.get

export function setReadingOrder(to: Order) {
  localStorage.setItem(PLACE, JSON.stringify(to))
  order.set(to)
}

export const useReadingOrder = () => order.usePart(chosen => chosen)
