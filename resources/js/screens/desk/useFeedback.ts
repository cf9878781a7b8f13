import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, ApiError, unwrap, type Schemas} from '../../api/client'
import {desk} from '../../api/queries'
import {hour} from '../../parts/when'
import {useDraft} from './drafts'
import type {Draft, Finding, State} from './marks'

interface Undo {
  words: string
  back: () => void
}

/** So many steps can be taken back. */
const REMEMBERED = 50

interface Decision {
  finding: Finding
  state: State
  /** takes back an earlier one, and is no step of its own */
  isUndo?: boolean
}

/** What the instructor does on a desk: shown at once, sent in its order, and taken back step by step. */
export function useFeedback(handIn: string) {
  const queries = useQueryClient()
  const {queryKey} = desk(handIn)
  const [history, setHistory] = useState<Undo[]>([])
  const [draft, setDraft] = useDraft(handIn)
  const remember = (step: Undo) => setHistory(old => [...old.slice(1 - REMEMBERED), step])
  const refresh = () => queries.invalidateQueries({queryKey})
  const show = (fingerprint: string, state: State) =>
    queries.setQueryData<Schemas['Desk']>(
      queryKey,
      old =>
        old && {
          ...old,
          findings: old.findings.map(one => (one.fingerprint === fingerprint ? {...one, state} : one)),
        },
    )
  const verdict = useMutation({
    scope: {id: `verdicts of ${handIn}`},
    mutationFn: ({finding, state}: Decision) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/verdicts/{fingerprint}', {
          params: {path: {handIn, fingerprint: finding.fingerprint}},
          body: {state},
        }),
      ),
    onMutate: async ({finding, state}) => {
      show(finding.fingerprint, state)
      await queries.cancelQueries({queryKey})
      // An answer that was on its way may have taken it back.
      show(finding.fingerprint, state)
    },
    onError: (_error, {finding}) => void show(finding.fingerprint, finding.state),
    onSuccess: (_data, {finding, state, isUndo = false}) => {
      // No rule reports it: once it is taken out there is nothing to ink again.
      if (!finding.current) return void refresh()
      if (isUndo) return
      const words = {inked: 'Inked', 'rubbed-out': 'Rubbed out', pencilled: 'Back in pencil'}[state]
      remember({
        words: `${words}, kept at ${hour(new Date())}`,
        back: () => verdict.mutate({finding: {...finding, state}, state: finding.state, isUndo: true}),
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
      remember({words: 'Note taken out', back: () => note.mutate({id: null, merit, file, line, body})})
    },
  })
  const undo = () => {
    history.at(-1)?.back()
    setHistory(old => old.slice(0, -1))
  }
  return {
    verdict,
    note,
    dropNote,
    draft,
    setDraft,
    undo,
    lastStep: history.at(-1)?.words ?? null,
    error: verdict.error ?? note.error ?? dropNote.error,
  }
}
