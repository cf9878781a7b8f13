/** Lines from one to another, both among them. */
export interface Stretch {
  from: number
  to: number
}

/** So many lines in a row without a mark are long. */
const LONG = 30

/** Lines that stay around a mark. */
const AROUND = 6

/**
 * Long stretches in which nothing is marked: they can be folded.
 *
 * @param marked lines that have something, in any order
 */
export function quietStretches(lineCount: number, marked: Iterable<number>): Stretch[] {
  const lines = [...new Set([...marked].filter(line => line >= 1 && line <= lineCount))].sort((a, b) => a - b)
  if (lines.length === 0) return []
  const edges = [...lines.map(line => [line - AROUND, line + AROUND] as const), [lineCount + 1, lineCount + 1] as const]
  const stretches: Stretch[] = []
  let from = 1
  for (const [start, end] of edges) {
    if (start - from >= LONG) stretches.push({from, to: Math.min(start - 1, lineCount)})
    from = Math.max(from, end + 1)
  }
  return stretches
}

/** Those that do not hold a line, nor one that was opened. */
export const folded = (stretches: Stretch[], opened: ReadonlySet<number>, line: number | null): Stretch[] =>
  stretches.filter(({from, to}) => !opened.has(from) && (line === null || line < from || line > to))
