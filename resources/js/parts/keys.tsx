import {createContext, use, useEffect, useMemo, useRef, useState, type ReactNode} from 'react'

/** A key that works on this screen, and what it does. */
export interface Key {
  key: string
  does: string
  run: () => void
}

interface Keyboard {
  keys: Key[]
  set: (keys: Key[]) => void
}

const KeyboardContext = createContext<Keyboard>({keys: [], set: () => undefined})

export function KeyboardProvider({children}: {children: ReactNode}) {
  const [keys, set] = useState<Key[]>([])
  const keyboard = useMemo(() => ({keys, set}), [keys])
  return <KeyboardContext value={keyboard}>{children}</KeyboardContext>
}

export const useShownKeys = () => use(KeyboardContext).keys

/** Makes keys work while the calling screen is shown. What is typed into a field is never taken for one. */
export function useKeys(keys: Key[]) {
  const {set} = use(KeyboardContext)
  const latest = useRef(keys)
  useEffect(() => {
    latest.current = keys
  })
  const names = keys.map(({key, does}) => `${key} ${does}`).join('\n')
  useEffect(() => {
    set(latest.current)
    return () => set([])
  }, [names, set])
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const at = event.target as HTMLElement
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        at.closest('input, textarea, select, [role=dialog]') !== null
      )
        return
      const pressed = latest.current.find(({key}) => key === event.key)
      if (pressed === undefined) return
      event.preventDefault()
      pressed.run()
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [])
}
