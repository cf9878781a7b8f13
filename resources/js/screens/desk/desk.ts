import {createContext, use} from 'react'
import type {Schemas} from '../../api/client'
import type {MarginItem} from './margin/marks'
import type {MarginActions} from './margin/Sidenote'
import type {Place} from './place'

/** All that a view of the desk may need: the hand-in, the place on it, and what is in the margin of its leaf. */
export interface DeskState {
  desk: Schemas['Desk']
  leaf: string
  line: number | null
  current: string | null
  items: MarginItem[]
  actions: MarginActions
  keeping: boolean
  go: (change: Partial<Place>) => void
  turn: (leaf: string) => void
  /** begins a note at a line, or on the leaf as a whole */
  write: (line: number | null) => void
}

export const DeskContext = createContext<DeskState | null>(null)

export function useDesk(): DeskState {
  const desk = use(DeskContext)
  if (desk === null) throw new Error('A view of the desk was shown without one.')
  return desk
}

/** The paths of a hand-in's stylesheets. */
export const sheetsOf = (desk: Schemas['Desk']): string[] =>
  desk.leaves.filter(one => one.kind === 'stylesheet' && !one.missing).map(one => one.path)
