/** What some fields hold, as lines that can be typed, and back. */

type Part = string | {readonly [name: string]: Part[] | Part}

/** Nested parts: one a line, what is inside indented. */
export function partsAsLines(parts: unknown, depth = 0): string {
  const list = Array.isArray(parts) ? (parts as Part[]) : parts === undefined ? [] : [parts as Part]
  return list
    .flatMap(part =>
      typeof part === 'string'
        ? [`${'  '.repeat(depth)}${part}`]
        : Object.entries(part).flatMap(([name, inside]) => [
            `${'  '.repeat(depth)}${name}`,
            partsAsLines(inside, depth + 1),
          ]),
    )
    .filter(line => line !== '')
    .join('\n')
}

export function linesAsParts(text: string): Part[] {
  const lines = text
    .split('\n')
    .filter(line => line.trim() !== '')
    .map(line => ({depth: line.length - line.trimStart().length, name: line.trim()}))
  const read = (from: number, to: number): Part[] => {
    const parts: Part[] = []
    for (let at = from; at < to;) {
      const line = lines[at]
      if (line === undefined) break
      let end = at + 1
      while (end < to && (lines[end]?.depth ?? 0) > line.depth) end++
      const inside = read(at + 1, end)
      parts.push(inside.length === 0 ? line.name : {[line.name]: inside})
      at = end
    }
    return parts
  }
  return read(0, lines.length)
}

/** Pairs: one a line, a colon between them. */
const pairs = (text: string): [string, string][] =>
  text
    .split('\n')
    .filter(line => line.trim() !== '')
    .map(line => {
      // An address may have a colon in it, which no space follows.
      const [, before = line, after = ''] = /^(.+?):(?:\s+(.*))?$/.exec(line.trim()) ?? []
      return [before.trim(), after.trim()]
    })

/** Entries of a menu: `page: label`. */
export const entriesAsLines = (entries: unknown): string =>
  (Array.isArray(entries) ? (entries as Record<string, unknown>[]) : [])
    .flatMap(entry => Object.entries(entry).map(([page, label]) => `${page}: ${String(label)}`))
    .join('\n')

export const linesAsEntries = (text: string): Record<string, string>[] =>
  pairs(text).map(([page, label]) => ({[page]: label}))

/** Points by how many things are wrong: `0: 10`. */
export const stepsAsLines = (steps: unknown): string =>
  steps === undefined || steps === null
    ? ''
    : Object.entries(steps as Record<string, unknown>)
        .map(([wrong, points]) => `${wrong}: ${String(points)}`)
        .join('\n')

export const linesAsSteps = (text: string): Record<string, number | string> =>
  Object.fromEntries(
    pairs(text).map(([wrong, points]) => [
      wrong,
      points === '' || Number.isNaN(Number(points)) ? points : Number(points),
    ]),
  )
