import {createContext, use, useCallback, useEffect, useId, useMemo, useRef, useState, type ReactNode} from 'react'

/** A key that works on this screen, and what it does. */
export interface Key {
  key: string
  does: string
  run: () => void
}

interface Keyboard {
  /** those that work now, the innermost place's first; each key once */
  keys: Key[]
  isOn: boolean
  turn: (on: boolean) => void
  enter: (place: string, keys: () => Key[]) => void
  leave: (place: string) => void
}

const KeyboardContext = createContext<Keyboard>({
  keys: [],
  isOn: true,
  turn: () => undefined,
  enter: () => undefined,
  leave: () => undefined,
})

/** Where a key is typed, or belongs to what has the focus: WAI-ARIA's widgets that take letters, and what asks. */
const TAKES_KEYS =
  'input:not([type=checkbox]), textarea, select, [contenteditable], [role=textbox], [role=combobox], [role=listbox], [role=menu], [role=dialog]'

/** A text that can only be read takes none. */
const READ_ONLY = '[aria-readonly=true]'

const SWITCH = 'single keys'

/** One listener for all keys. A place inside another may use a key of its own; the inner one counts. */
export function KeyboardProvider({children}: {children: ReactNode}) {
  const places = useRef(new Map<string, () => Key[]>())
  const [keys, setKeys] = useState<Key[]>([])
  const [isOn, setOn] = useState(() => localStorage.getItem(SWITCH) !== 'off')
  const show = useCallback(() => setKeys(working(places.current)), [])
  const keyboard = useMemo(
    () => ({
      keys,
      isOn,
      turn: (on: boolean) => {
        localStorage.setItem(SWITCH, on ? 'on' : 'off')
        setOn(on)
      },
      enter: (place: string, of: () => Key[]) => {
        places.current.set(place, of)
        show()
      },
      leave: (place: string) => {
        places.current.delete(place)
        show()
      },
    }),
    [keys, isOn, show],
  )
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const at = event.target
      const isTaken = at instanceof Element && at.closest(TAKES_KEYS) !== null && at.closest(READ_ONLY) === null
      if (!isOn || event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isTaken) return
      const pressed = working(places.current).find(({key}) => key === event.key)
      if (pressed === undefined) return
      event.preventDefault()
      pressed.run()
    }
    addEventListener('keydown', press)
    return () => removeEventListener('keydown', press)
  }, [isOn])
  return <KeyboardContext value={keyboard}>{children}</KeyboardContext>
}

/** The keys of all places, the one entered last first. */
function working(places: Map<string, () => Key[]>): Key[] {
  const keys = new Map<string, Key>()
  for (const of of [...places.values()].reverse())
    for (const key of of()) if (!keys.has(key.key)) keys.set(key.key, key)
  return [...keys.values()]
}

export const useKeyboard = (): Pick<Keyboard, 'keys' | 'isOn' | 'turn'> => use(KeyboardContext)

/** Makes keys work while the calling place is shown. What is typed into a field is never taken for one. */
export function useKeys(keys: Key[]) {
  const {enter, leave} = use(KeyboardContext)
  const place = useId()
  const latest = useRef(keys)
  useEffect(() => {
    latest.current = keys
  })
  const actions = useRef({enter, leave})
  useEffect(() => {
    actions.current = {enter, leave}
  })
  const names = keys.map(({key, does}) => `${key} ${does}`).join('\n')
  useEffect(() => {
    actions.current.enter(place, () => latest.current)
    const {current} = actions
    return () => current.leave(place)
  }, [names, place])
}
