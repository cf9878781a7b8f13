import type {Schemas} from '../../lib/schemas'
import {notJudged} from '../../lib/cost'
import {leastFirst, typedNumber} from '../../lib/numbers'

export type Book = Schemas['Gradebook']
export type Row = Schemas['GradeRow']
export type Cell = Schemas['GradeCell']
export type Column = Schemas['GradeColumn']

/** What a cell shows. */
export function shown({kind, awarded}: Cell): string {
  switch (kind) {
    case 'excused':
      return 'exc.'
    case 'missing':
      return 'none'
    case 'open':
      return ''
    default:
      return String(awarded ?? '')
  }
}

/** What a cell is, in words for those who cannot see how it is drawn. */
export function said(cell: Cell, column: Column): string {
  const points = `${cell.awarded ?? 0} of ${cell.possible ?? '?'}`
  const words = {
    earned: points,
    'by-hand': `${points}, by hand: ${cell.reason ?? ''}`,
    excused: `excused: ${cell.reason ?? ''}`,
    missing: 'no hand-in, which counts as 0',
    open: cell.handInId === null ? 'no hand-in yet' : 'not due yet, or not judged yet',
  }[cell.kind]
  const late = cell.isLate ? ', late' : ''
  const pencil = cell.kind === 'earned' && !cell.isReplied ? ', no reply yet' : ''
  const open = cell.open > 0 ? `, provisional: ${notJudged(cell.open)}` : ''
  const extended = cell.isExtended ? ', with an extension' : ''
  return `${column.title}: ${words}${late}${pencil}${open}${extended}`
}

/** How the rows stand: by name, by the whole, or by one piece of work; the least first, those without anything last. */
export type Order = 'name' | 'course' | number

export function inOrder(rows: Row[], order: Order): Row[] {
  if (order === 'name') return rows
  const value = (row: Row) => (order === 'course' ? row.percent : shareOf(row, order))
  return leastFirst(rows, value, ({name}) => name)
}

/** The mean of a column in percent of what can be had; null where nobody has anything. */
export function meanOf(rows: Row[], at: number): number | null {
  const shares = rows.map(row => shareOf(row, at)).filter(share => share !== null)
  return shares.length === 0 ? null : Math.round((100 * shares.reduce((sum, one) => sum + one, 0)) / shares.length)
}

/** How many students a mean covers. */
export const coveredBy = (rows: Row[], at: number): number => rows.filter(row => shareOf(row, at) !== null).length

function shareOf({cells}: Row, at: number): number | null {
  const cell = cells[at]
  return cell?.awarded == null || !cell.possible ? null : cell.awarded / cell.possible
}

/** A part in the making: what is typed may not be a number yet. */
export interface PartDraft {
  title: string
  weight: string
  best: string
}

export interface SettingsDraft {
  parts: PartDraft[]
  /** place of its part and weight of each piece of work, by its id */
  work: Record<string, {part: number; weight: string}>
}

export function draftOf({parts, columns}: Book): SettingsDraft {
  return {
    parts: parts.map(({title, weight, best}) => ({
      title,
      weight: String(weight),
      best: best === null ? '' : String(best),
    })),
    work: Object.fromEntries(
      columns.map(({id, part, weight}) => [
        id,
        {
          part: Math.max(
            0,
            parts.findIndex(one => one.id === part),
          ),
          weight: String(weight),
        },
      ]),
    ),
  }
}

export function settingsOf({parts, work}: SettingsDraft): Schemas['GradeSettingsRequest'] {
  return {
    parts: parts.map(({title, weight, best}) => ({
      title: title.trim(),
      weight: typedNumber(weight),
      best: best.trim() === '' ? null : typedNumber(best),
    })),
    work: Object.entries(work).map(([id, {part, weight}]) => ({
      id,
      part: Math.min(part, parts.length - 1),
      weight: typedNumber(weight),
    })),
  }
}
