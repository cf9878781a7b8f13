import type {Schemas} from '../../lib/schemas'
import {hundredths, leastFirst} from '../../lib/numbers'

export type Row = Schemas['ClassSheetRow']

/** How the rows stand: by name, by their points, or by one requirement, the least first. */
export type RowOrder = 'name' | 'points' | number

/** Those of whom nothing came come last, whatever the order but by name. */
export function inOrder(rows: Row[], order: RowOrder): Row[] {
  if (order === 'name') return rows
  const share = ({awarded, possible, cells}: Row) =>
    order === 'points'
      ? awarded === null || possible === null || possible === 0
        ? null
        : awarded / possible
      : (cells[order]?.share ?? null)
  return leastFirst(rows, share, ({student}) => student)
}

/** The places of the columns: as the brief has them, or those that the class meets least first. */
export function columnsInOrder(requirements: Schemas['SheetRequirement'][], byShare: boolean): number[] {
  const places = requirements.map((_one, at) => at)
  return byShare
    ? places.sort((a, b) => (requirements[a]?.share ?? 2) - (requirements[b]?.share ?? 2) || a - b)
    : places
}

/** What everyone is marked out of. */
export const totalOf = (requirements: Schemas['SheetRequirement'][]): number =>
  hundredths(requirements.reduce((sum, one) => sum + (one.leftOut ? 0 : one.possible), 0))

/** What a cell says to those who cannot see how far it is filled. */
export function wordsFor(cell: Schemas['SheetCell'] | null, {title, possible}: Schemas['SheetRequirement']): string {
  if (cell === null) return `${title}: nothing to see`
  if (cell.share === null) return `${title}: not judged yet, ${possible} can be had`
  const word = cell.share >= 1 ? 'met' : cell.share <= 0 ? 'unmet' : 'partly'
  return `${title}: ${word}, ${cell.points} of ${possible}${cell.byHand ? ', by hand' : ''}`
}

export interface Missed {
  requirement: Schemas['SheetRequirement']
  /** who does not meet it, the least first, and how far they do */
  by: {row: Row; percent: number}[]
}

/** The requirements that somebody falls short of, those of the most first. */
export function leastMet(rows: Row[], requirements: Schemas['SheetRequirement'][]): Missed[] {
  return requirements
    .map((requirement, at) => ({
      requirement,
      by: rows
        .flatMap(row => {
          const share = row.cells[at]?.share ?? null
          return row.handInId === null || share === null || share >= 1 ? [] : [{row, percent: Math.round(100 * share)}]
        })
        .sort((a, b) => a.percent - b.percent),
    }))
    .filter(({by}) => by.length > 0)
    .sort((a, b) => b.by.length - a.by.length)
}
