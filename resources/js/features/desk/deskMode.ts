import {ALL, type Filter} from './margin/filter'

/** What is open, asked or filtered on a desk. It is of this desk alone, and gone with it. */
export interface DeskMode {
  filter: Filter
  /** the finding of which all that are like it are asked about */
  asksAlike: string | null
  /** the rubbed out finding of which the reason is asked */
  asksWhy: string | null
  /** what was gathered and is shown one by one, by key */
  opened: ReadonlySet<string>
  points: PointsState
}

/** Whether the requirements are unfolded, and which of them is meant. */
export interface PointsState {
  isOpen: boolean
  requirement: string | null
}

export type ModeChange =
  | {change: 'filter'; to: Filter}
  | {change: 'ask alike'; of: string | null}
  | {change: 'fold or ask alike'; of: string | null}
  | {change: 'ask why'; of: string | null}
  | {change: 'open'; key: string}
  | {change: 'show requirement'; requirement: string}
  | {change: 'fold or unfold points'}

/** @param requirement the one that an address leads to */
export const firstMode = (requirement: string | null): DeskMode => ({
  filter: ALL,
  asksAlike: null,
  asksWhy: null,
  opened: new Set(),
  points: {isOpen: requirement !== null, requirement},
})

export function changeMode(mode: DeskMode, change: ModeChange): DeskMode {
  switch (change.change) {
    case 'filter':
      return {...mode, filter: change.to}
    case 'ask alike':
      return {...mode, asksAlike: change.of}
    case 'fold or ask alike':
      return {...mode, asksAlike: mode.asksAlike === null ? change.of : null}
    case 'ask why':
      return {...mode, asksWhy: change.of}
    case 'open':
      return {...mode, opened: new Set([...mode.opened, change.key])}
    case 'show requirement':
      return {...mode, points: {isOpen: true, requirement: change.requirement}}
    case 'fold or unfold points':
      return {...mode, points: {isOpen: !mode.points.isOpen, requirement: null}}
  }
}
