import type {Draft, Finding, MarginItem, State} from './marks'

/** How far a decision on a finding reaches. */
export type Reach = 'page' | 'site' | 'class'

/** What can be done in the margin. */
export interface MarginActions {
  choose: (key: string) => void
  decide: (finding: Finding, state: State, reason?: string) => void
  /** decides on all findings of its kind that are in pencil */
  decideAlike: (finding: Finding, reach: Reach, state: 'inked' | 'rubbed-out', reason: string) => void
  /** shows how many there are like a finding; null for of none */
  openAlike: (fingerprint: string | null) => void
  edit: (item: MarginItem) => void
  drop: (id: string) => void
  type: (draft: Draft) => void
  keep: () => void
  discard: () => void
  to: (leaf: string) => string
  /** keeps a note for use again */
  stock: (id: string) => void
  /** shows one by one what is gathered under a key */
  open: (key: string) => void
  /** to the requirement that a finding is of */
  toRequirement: (requirement: string) => void
}
