import {createContext, use} from 'react'
import type {Schemas} from '../../lib/schemas'
import type {DeskMode, ModeChange} from './deskMode'
import type {Gathered} from './margin/gather'
import type {Draft, Finding, MarginItem} from './margin/marks'
import type {MarginActions} from './margin/actions'
import type {Place} from './place'

/** All that a view of the desk may need: the hand-in, the place on it, and what is in the margin of its leaf. */
export interface DeskState {
  desk: Schemas['Desk']
  /** that you have read it, all in all */
  seconds: number
  leaf: string
  line: number | null
  current: string | null
  margin: DeskMargin
  mode: DeskMode
  change: (change: ModeChange) => void
  actions: MarginActions
  keeping: boolean
  go: (change: Partial<Place>) => void
  turn: (leaf: string) => void
  /** begins a note at a line, or on the leaf as a whole */
  write: (line: number | null) => void
  /** begins another note, such as the opening words of the reply */
  writeDraft: (draft: Draft) => void
}

/** What is in the margin of the leaf. */
export interface DeskMargin {
  /** what the check found on the leaf */
  found: Finding[]
  items: MarginItem[]
  /** of the items, those that are to be shown; and the same, with what is alike gathered */
  shown: MarginItem[]
  gathered: Gathered[]
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
