import type {Schemas} from '../../../lib/schemas'

export type Finding = Schemas['DeskFinding']
export type Note = Schemas['DeskNote']

/** What was decided about a finding. */
export type State = Finding['state']

/** What a note does: it says what to do, asks, praises, or opens or closes the reply. */
export type NoteKind = Note['kind']

/** What each kind of note is called. */
export const KIND_WORDS: Readonly<Record<NoteKind, string>> = {
  note: 'to do',
  question: 'question',
  merit: 'merit',
  opening: 'opening words',
  closing: 'closing words',
}

/** The name of the leaf that stands for the hand-in as a whole. */
export const WHOLE = ''

/** The key of the note that is being written. */
export const DRAFT = 'draft'

/** A note that is being written: kept in the browser until it is kept on the server. */
export interface Draft {
  id: string | null
  /** the id that a new one will have */
  key?: string
  file: string | null
  line: number | null
  /** the last line, where it is about several */
  endLine?: number | null
  body: string
  kind: NoteKind
  /** Of the note that is being changed, as it was when it was opened. */
  version?: number
  /** whether a stock remark is being looked for */
  picking?: boolean
  /** of the finding that it is written at: its rule, and where it begins in the line */
  rule?: string | null
  column?: number
}

/** A note that is begun on a leaf. */
export const newDraft = (leaf: string, line: number | null, more: Partial<Draft> = {}): Draft => ({
  id: null,
  key: crypto.randomUUID(),
  file: leaf === WHOLE ? null : leaf,
  line,
  body: '',
  kind: 'note',
  ...more,
})

/** Something in the margin: what the machine found, what the instructor wrote, or what is being written. */
export type MarginItem =
  | {kind: 'finding'; key: string; line: number | null; numeral: number; finding: Finding}
  | {kind: 'note'; key: string; line: number | null; numeral: number; note: Note}
  | {kind: 'draft'; key: string; line: number | null; numeral: number; draft: Draft}

type Unnumbered = MarginItem extends infer Item ? (Item extends MarginItem ? Omit<Item, 'numeral'> : never) : never

/** Findings of a leaf as they are gone through: from top to bottom. */
export const inOrder = (findings: Finding[]): Finding[] => [...findings].sort((a, b) => (a.line ?? 0) - (b.line ?? 0))

/** Everything in the margin of one leaf, from top to bottom, numbered. */
export function marginOf(leaf: string, findings: Finding[], notes: Note[], draft: Draft | null): MarginItem[] {
  const items: Unnumbered[] = [
    ...findings.map(finding => ({kind: 'finding' as const, key: finding.fingerprint, line: finding.line, finding})),
    ...notes
      .filter(note => (note.file ?? WHOLE) === leaf && note.id !== draft?.id)
      .map(note => ({kind: 'note' as const, key: note.id, line: note.line, note})),
    ...(draft !== null && (draft.file ?? WHOLE) === leaf
      ? [{kind: 'draft' as const, key: DRAFT, line: draft.line, draft}]
      : []),
  ]
  return items.sort((a, b) => (a.line ?? 0) - (b.line ?? 0)).map((item, index) => ({...item, numeral: index + 1}))
}
