import {createContext, use} from 'react'
import type {Schemas} from '../../api/client'
import type {Filter} from './margin/filter'
import type {Gathered} from './margin/gather'
import type {Draft, Finding, MarginItem} from './margin/marks'
import type {MarginActions} from './margin/Sidenote'
import type {Place} from './place'

/** All that a view of the desk may need: the hand-in, the place on it, and what is in the margin of its leaf. */
export interface DeskState {
  desk: Schemas['Desk']
  /** that you have read it, all in all */
  seconds: number
  leaf: string
  line: number | null
  current: string | null
  /** what the check found on the leaf */
  found: Finding[]
  /** all that is in the margin of the leaf, and of it what is to be shown */
  items: MarginItem[]
  shown: MarginItem[]
  gathered: Gathered[]
  filter: Filter
  setFilter: (filter: Filter) => void
  /** of the finding of which all that are like it are asked about */
  asksAlike: string | null
  /** of the rubbed out finding of which the reason is asked */
  asksWhy: string | null
  setAsksWhy: (fingerprint: string | null) => void
  /** whether the requirements are unfolded, and which of them is meant */
  points: PointsState
  setPoints: (points: PointsState) => void
  actions: MarginActions
  keeping: boolean
  go: (change: Partial<Place>) => void
  turn: (leaf: string) => void
  /** begins a note at a line, or on the leaf as a whole */
  write: (line: number | null) => void
  /** begins another note, such as the opening words of the reply */
  writeDraft: (draft: Draft) => void
}

export interface PointsState {
  isOpen: boolean
  requirement: string | null
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
