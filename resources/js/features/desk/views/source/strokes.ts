import {offsetOf} from './colouring'
import type {MarginItem, State} from '../../margin/marks'

/** A pen stroke on one line, from one UTF-16 offset of it to another. */
export interface Stroke {
  line: number
  from: number
  to: number
  state: State
  /** of the note it belongs to, on the line where that begins */
  numeral: number | null
}

/** A mark over more lines than these is drawn on the first of them only. */
const MAX_LINES = 400

/** Of a note that is about several lines. */
const lastLineOf = (item: Exclude<MarginItem, {kind: 'finding'}>): number | null =>
  (item.kind === 'note' ? item.note.endLine : item.draft.endLine) ?? null

/**
 * The strokes of all marks, line by line as they stand in the margin.
 *
 * @param textOf the text of a line, by its number
 */
export function strokesOf(items: MarginItem[], lineCount: number, textOf: (line: number) => string): Stroke[] {
  return items.flatMap((item): Stroke[] => {
    if (item.line === null || item.line > lineCount) return []
    if (item.kind !== 'finding') {
      const end = Math.min(lastLineOf(item) ?? item.line, item.line + MAX_LINES, lineCount)
      return Array.from({length: Math.max(1, end - item.line + 1)}, (_, index) => ({
        line: (item.line ?? 0) + index,
        from: 0,
        to: 0,
        state: 'inked',
        numeral: index === 0 ? item.numeral : null,
      }))
    }
    const {finding, line: first} = item
    const last = Math.min(finding.endLine ?? first, first + MAX_LINES, lineCount)
    return Array.from({length: last - first + 1}, (_, index) => {
      const line = first + index
      const text = textOf(line)
      return {
        line,
        from: line === first ? offsetOf(finding.column, text) : text.length - text.trimStart().length,
        to: line === finding.endLine ? offsetOf(finding.endColumn, text) : text.length,
        state: finding.state,
        numeral: line === first ? item.numeral : null,
      }
    })
  })
}
