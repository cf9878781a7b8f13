import {useCallback, useRef} from 'react'

/** Does one thing after another in the order in which they were asked for, also where one of them has to wait. */
export function useQueue() {
  const last = useRef<Promise<unknown>>(Promise.resolve())
  return useCallback((act: () => unknown) => {
    last.current = last.current.then(act).catch(() => undefined)
  }, [])
}
