import {useSyncExternalStore} from 'react'

/** A value that stands beside the screens. Whoever shows a part of it is drawn anew when that part is another one. */
export function shared<T>(first: T) {
  let value = first
  const listeners = new Set<() => void>()
  const subscribe = (listener: () => void) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }
  return {
    get: () => value,
    set: (to: T) => {
      value = to
      for (const listener of listeners) listener()
    },
    /** a hook; what is picked has to be the same object as long as nothing has changed */
    usePart: <Part>(pick: (value: T) => Part): Part => useSyncExternalStore(subscribe, () => pick(value)),
  }
}
