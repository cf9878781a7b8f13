import {useCallback, useEffect, useRef, useState} from 'react'
import {NavigationType, useLocation, useNavigationType, useSearchParams} from 'react-router'

/** What is chosen on a desk: the leaf that is read, how it is shown, and the mark and line in it. */
export interface Place {
  leaf: string
  view: string
  mark: string | null
  line: number | null
}

/** @param first the leaf of an address that names none */
export function readPlace(address: URLSearchParams, first: string): Place {
  return {
    leaf: address.get('leaf') ?? first,
    view: address.get('view') ?? 'source',
    mark: address.get('mark'),
    line: Number(address.get('line')) || null,
  }
}

export function writePlace({leaf, view, mark, line}: Place): URLSearchParams {
  const address = new URLSearchParams({leaf, view})
  if (mark !== null) address.set('mark', mark)
  if (line !== null) address.set('line', String(line))
  return address
}

const SAVED = 'where reading stopped: '

/** The place where somebody went on to another hand-in: where they come back to. */
export const keepSavePoint = (handIn: string, place: Place) =>
  localStorage.setItem(SAVED + handIn, writePlace(place).toString())

const savePoint = (handIn: string) => new URLSearchParams(localStorage.getItem(SAVED + handIn) ?? '')

/** Goes with each address that the desk itself asks for. */
const OURS = {desk: true}

const isOurs = (state: unknown) => typeof state === 'object' && state !== null && 'desk' in state

/**
 * The place on a desk, mirrored in the address. Every change is made to the newest place, however far the address is
 * behind: keys pressed in quick succession go by what was chosen last.
 */
/** @param handIn its save point is used when the address names no place; null to ignore save points */
export function usePlace(first: string, handIn: string | null = null) {
  const [search, setSearch] = useSearchParams()
  const location = useLocation()
  const how = useNavigationType()
  const [place, setPlace] = useState(() =>
    readPlace(search.size === 0 && handIn !== null ? savePoint(handIn) : search, first),
  )
  const newest = useRef(place)

  const go = useCallback(
    (change: Partial<Place>) => {
      const before = newest.current
      newest.current = {...before, ...change}
      setPlace(newest.current)
      setSearch(writePlace(newest.current), {replace: newest.current.leaf === before.leaf, state: OURS})
    },
    [setSearch],
  )

  useEffect(() => {
    // An address of ours arrives when the place is there already, and perhaps further on.
    if (how !== NavigationType.Pop && isOurs(location.state)) return
    newest.current = readPlace(new URLSearchParams(location.search), first)
    setPlace(newest.current)
  }, [location, how, first])

  return {place, go, newest: useCallback(() => newest.current, [])}
}
