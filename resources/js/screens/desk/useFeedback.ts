import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useEffect, useState} from 'react'
import {api, ApiError, unwrap, type Schemas} from '../../api/client'
import {desk} from '../../api/queries'
import {hour} from '../../parts/when'
import type {Draft, Finding} from './marks'

interface Undo {
  words: string
  back: () => void
}

/** What the instructor does on a desk: verdicts and notes, kept at once, each with its undo. */
export function useFeedback(handIn: string) {
  const queries = useQueryClient()
  const {queryKey} = desk(handIn)
  const [undo, setUndo] = useState<Undo | null>(null)
  const [draft, setDraft] = useDraft(handIn)
  const refresh = () => queries.invalidateQueries({queryKey})
  const verdict = useMutation({
    mutationFn: ({finding, state}: {finding: Finding; state: string}) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/verdicts/{fingerprint}', {
          params: {path: {handIn, fingerprint: finding.fingerprint}},
          body: {state: state as 'pencilled' | 'inked' | 'rubbed-out'},
        }),
      ),
    onMutate: async ({finding, state}) => {
      await queries.cancelQueries({queryKey})
      const change = (to: string) =>
        queries.setQueryData<Schemas['Desk']>(
          queryKey,
          old =>
            old && {
              ...old,
              findings: old.findings.map(one => (one.fingerprint === finding.fingerprint ? {...one, state: to} : one)),
            },
        )
      change(state)
      return () => change(finding.state)
    },
    onError: (_error, _what, takeBack) => takeBack?.(),
    onSuccess: (_data, {finding, state}) => {
      const words = {inked: 'Inked', 'rubbed-out': 'Rubbed out', pencilled: 'Back in pencil'}[state] ?? state
      if (!finding.current) {
        // No rule reports it: once it is taken out there is nothing to ink again.
        setUndo(null)
        void refresh()
        return
      }
      setUndo({
        words: `${words}, kept at ${hour(new Date())}`,
        back: () => verdict.mutate({finding: {...finding, state}, state: finding.state}),
      })
    },
  })
  const note = useMutation({
    mutationFn: ({id, ...body}: Draft) =>
      id === null
        ? unwrap(api.POST('/api/hand-ins/{handIn}/notes', {params: {path: {handIn}}, body}))
        : unwrap(api.PUT('/api/notes/{note}', {params: {path: {note: id}}, body})),
    onSuccess: async () => {
      await refresh()
      setDraft(null)
      setUndo(null)
    },
    onError: async (error, {file, line, body, merit}) => {
      if (!(error instanceof ApiError) || error.status !== 409) return
      // Theirs is shown in the margin again, and mine becomes a note of its own if it is kept.
      setDraft({id: null, file, line, body, merit})
      await refresh()
    },
  })
  const dropNote = useMutation({
    mutationFn: (taken: Schemas['DeskNote']) =>
      unwrap(api.DELETE('/api/notes/{note}', {params: {path: {note: taken.id}}})),
    onSuccess: async (_data, {merit, file, line, body}) => {
      await refresh()
      setUndo({words: 'Note taken out', back: () => note.mutate({id: null, merit, file, line, body})})
    },
  })
  return {verdict, note, dropNote, draft, setDraft, undo, error: verdict.error ?? note.error ?? dropNote.error}
}

/** A note in the making survives a closed lid: it is kept in the browser with every letter. */
function useDraft(handIn: string): [Draft | null, (draft: Draft | null) => void] {
  const place = `note being written: ${handIn}`
  const [draft, setDraft] = useState<Draft | null>(
    () => JSON.parse(localStorage.getItem(place) ?? 'null') as Draft | null,
  )
  useEffect(() => {
    if (draft === null) localStorage.removeItem(place)
    else localStorage.setItem(place, JSON.stringify(draft))
  }, [draft, place])
  return [draft, setDraft]
}
