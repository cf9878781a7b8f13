import type {Schemas} from '../../../../lib/schemas'

export type Edit = Schemas['TextEdit']
export type MendedFinding = Schemas['MendedFinding']

/** From the first to the last; of two that touch the same place, the first alone: the other no longer fits. */
export function inOrder(edits: Edit[]): Edit[] {
  const sorted = [...edits].sort((a, b) => a.from - b.from || a.to - b.to)
  const taken: Edit[] = []
  for (const edit of sorted) {
    const last = taken.at(-1)
    const isSame = last !== undefined && last.from === edit.from && last.to === edit.to && last.insert === edit.insert
    if (last === undefined || (edit.from >= last.to && !isSame)) taken.push(edit)
  }
  return taken
}

/** A text with changes made to it. */
export function applied(text: string, edits: Edit[]): string {
  let at = 0
  let made = ''
  for (const {from, to, insert} of inOrder(edits)) {
    made += text.slice(at, from) + insert
    at = to
  }
  return made + text.slice(at)
}

/** What mends all findings of one kind at once: of each whose mend does not touch that of another. */
export function editsOfKind(findings: MendedFinding[], {rule, variant}: MendedFinding): Edit[] {
  const taken: Edit[] = []
  for (const finding of findings) {
    if (finding.rule !== rule || finding.variant !== variant) continue
    const touches = finding.edits.some(edit => taken.some(other => edit.from < other.to && other.from < edit.to))
    if (!touches) taken.push(...finding.edits)
  }
  return taken
}

/** The lines that changes touch, as they are and as they would be. */
export function shownAsLines(text: string, edits: Edit[]): {line: number; before: string[]; after: string[]} {
  const sorted = inOrder(edits)
  const [first, last] = [sorted[0], sorted.at(-1)]
  if (first === undefined || last === undefined) return {line: 1, before: [], after: []}
  const from = text.lastIndexOf('\n', first.from - 1) + 1
  const end = text.indexOf('\n', last.to)
  const to = end === -1 ? text.length : end
  const part = text.slice(from, to)
  const moved = sorted.map(edit => ({...edit, from: edit.from - from, to: edit.to - from}))
  return {
    line: text.slice(0, from).split('\n').length,
    before: part.split('\n'),
    after: applied(part, moved).split('\n'),
  }
}
