import {useEffect, useState} from 'react'
import {DRAFTS} from '../../lib/draftPlace'
import type {Draft, NoteKind} from './margin/marks'

const KINDS: readonly NoteKind[] = ['note', 'question', 'merit', 'opening', 'closing']

/** A note in the making survives a closed lid: it is kept in the browser with every letter. */
export function useDraft(handIn: string): [Draft | null, (draft: Draft | null) => void] {
  const place = DRAFTS + handIn
  const [draft, setDraft] = useState(() => readDraft(localStorage.getItem(place)))
  useEffect(() => {
    if (draft === null) localStorage.removeItem(place)
    else localStorage.setItem(place, JSON.stringify(draft))
  }, [draft, place])
  return [draft, setDraft]
}

/** What was kept, or null where it is none: an older version, or somebody's own hand, may have written it. */
export function readDraft(kept: string | null): Draft | null {
  let draft: unknown
  try {
    draft = JSON.parse(kept ?? 'null')
  } catch {
    return null
  }
  return isDraft(draft) ? draft : null
}

function isDraft(value: unknown): value is Draft {
  if (typeof value !== 'object' || value === null) return false
  const {id, file, line, body, kind, version} = value as Record<string, unknown>
  return (
    (id === null || typeof id === 'string') &&
    (file === null || typeof file === 'string') &&
    (line === null || typeof line === 'number') &&
    typeof body === 'string' &&
    KINDS.some(known => known === kind) &&
    (version === undefined || typeof version === 'number')
  )
}
