import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import {ApiError, isUnreached} from '../../lib/apiError'
import type {Schemas} from '../../lib/schemas'
import {desk, findings, refreshHandIn, refreshPoints} from '../../api/desk'
import {stockRemarks} from '../../api/marking'
import {hour, many} from '../../lib/when'
import {useDraft} from './drafts'
import type {Reach} from './margin/actions'
import type {Draft, Finding, State} from './margin/marks'

interface Undo {
  words: string
  back: () => void
}

/** So many steps can be taken back. */
const REMEMBERED = 50

/** What did not reach the server waits, in its order, and is sent when the connection is back. */
const WAITS = {retry: (_failures: number, error: Error) => isUnreached(error), retryDelay: 2000}

interface Decision {
  finding: Finding
  /** on which it is shown */
  leaf: string
  state: State
  /** why it is rubbed out; '' where nothing was said */
  reason?: string
  /** takes back an earlier one, and is no step of its own */
  isUndo?: boolean
}

interface Alike {
  finding: Finding
  reach: Reach
  state: 'inked' | 'rubbed-out'
  reason: string
}

const COUNTED = {pencilled: 'pencilled', inked: 'inked', 'rubbed-out': 'rubbedOut'} as const

/** A tally with one of its findings in another state. */
function moved(tally: Schemas['LeafTally'], from: State, to: State): Schemas['LeafTally'] {
  return {...tally, [COUNTED[from]]: tally[COUNTED[from]] - 1, [COUNTED[to]]: tally[COUNTED[to]] + 1}
}

/** What the instructor does on a desk: shown at once, sent in its order, and taken back step by step. */
export function useFeedback(handIn: string) {
  const queries = useQueryClient()
  const {queryKey} = desk(handIn)
  const [history, setHistory] = useState<Undo[]>([])
  const [draft, setDraft] = useDraft(handIn)
  const remember = (step: Undo) => setHistory(old => [...old.slice(1 - REMEMBERED), step])
  const refresh = () => queries.invalidateQueries({queryKey})
  const refreshAll = () => refreshHandIn(queries, handIn)
  /** A finding is on the leaf on which it is shown, and its tally goes with it. */
  const show = (leaf: string, fingerprint: string, state: State, reason = '') => {
    let before: State | undefined
    queries.setQueryData(findings(handIn, leaf).queryKey, old =>
      old?.map(one => {
        if (one.fingerprint !== fingerprint) return one
        before = one.state
        return {...one, state, reason: reason === '' ? null : reason}
      }),
    )
    if (before === undefined || before === state) return
    const [from, to] = [before, state]
    queries.setQueryData(
      queryKey,
      old => old && {...old, tallies: old.tallies.map(one => (one.leaf === leaf ? moved(one, from, to) : one))},
    )
  }
  const scope = {id: `what is done on ${handIn}`}
  const verdict = useMutation({
    ...WAITS,
    scope,
    mutationFn: ({finding, state, reason}: Decision) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/verdicts/{fingerprint}', {
          params: {path: {handIn, fingerprint: finding.fingerprint}},
          body: {state, ...(reason === undefined || reason === '' ? {} : {reason})},
        }),
      ),
    onMutate: async ({finding, leaf, state, reason}) => {
      show(leaf, finding.fingerprint, state, reason)
      // An answer that is on its way does not know of it, and would take it back.
      await queries.cancelQueries({queryKey})
    },
    onError: (_error, {finding, leaf}) => show(leaf, finding.fingerprint, finding.state),
    onSuccess: (_data, {finding, leaf, state, isUndo = false}) => {
      // No rule reports it: once it is taken out there is nothing to ink again.
      if (!finding.current) return void refresh()
      // What is rubbed out costs nothing: the points change, wherever they are shown.
      if (state === 'rubbed-out' || finding.state === 'rubbed-out') void refreshPoints(queries, handIn)
      if (isUndo) return
      const words = {inked: 'Inked', 'rubbed-out': 'Rubbed out', pencilled: 'Back in pencil'}[state]
      remember({
        words: `${words}, kept at ${hour(new Date())}`,
        back: () =>
          verdict.mutate({
            finding: {...finding, state},
            leaf,
            state: finding.state,
            reason: finding.reason ?? '',
            isUndo: true,
          }),
      })
    },
  })
  const alike = useMutation({
    ...WAITS,
    scope,
    mutationFn: ({finding, reach, state, reason}: Alike) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/alike/{fingerprint}', {
          params: {path: {handIn, fingerprint: finding.fingerprint}},
          body: {state, reach, reason: reason === '' ? null : reason},
        }),
      ),
    onSuccess: async ({batch, findings: count, handIns}, {reach, state}) => {
      await refreshAll()
      const far = {page: 'on the page', site: 'in the site', class: `in ${many(handIns, 'hand-in')}`}[reach]
      remember({
        words: `${state === 'inked' ? 'Inked' : 'Rubbed out'} ${count} ${far}`,
        back: () =>
          void unwrap(api.DELETE('/api/decided-alike/{batch}', {params: {path: {batch}}})).then(() => refreshAll()),
      })
    },
  })
  const note = useMutation({
    ...WAITS,
    scope,
    mutationFn: ({id, key, file, line, endLine, body: words, kind, version}: Draft) => {
      const body = {
        file,
        line,
        endLine: endLine ?? null,
        body: words,
        kind,
        ...(version === undefined ? {} : {version}),
      }
      return id === null
        ? unwrap(
            api.POST('/api/hand-ins/{handIn}/notes', {
              params: {path: {handIn}},
              // Sent twice because an answer was lost, it is one note all the same.
              body: {...body, ...(key === undefined ? {} : {id: key})},
            }),
          )
        : unwrap(api.PUT('/api/notes/{note}', {params: {path: {note: id}}, body}))
    },
    onSuccess: kept => {
      queries.setQueryData(
        queryKey,
        old => old && {...old, notes: [...old.notes.filter(({id}) => id !== kept.id), kept]},
      )
      setDraft(null)
      void refresh()
    },
    onError: async (error, {file, line, body, kind}) => {
      if (!(error instanceof ApiError) || error.status !== 409) return
      // Theirs is shown in the margin again, and mine becomes a note of its own if it is kept.
      setDraft({id: null, file, line, body, kind: kind === 'opening' || kind === 'closing' ? 'note' : kind})
      await refresh()
    },
  })
  const dropNote = useMutation({
    mutationFn: (taken: Schemas['DeskNote']) =>
      unwrap(api.DELETE('/api/notes/{note}', {params: {path: {note: taken.id}}})),
    onSuccess: async (_data, {kind, file, line, endLine, body}) => {
      await refresh()
      remember({words: 'Note taken out', back: () => note.mutate({id: null, kind, file, line, endLine, body})})
    },
  })
  const stock = useMutation({
    mutationFn: ({course, note: {body, kind}}: {course: string; note: Schemas['DeskNote']}) =>
      unwrap(
        api.POST('/api/courses/{course}/stock-remarks', {
          params: {path: {course}},
          body: {body, merit: kind === 'merit', shared: true},
        }),
      ),
    onSuccess: ({id: stockRemark}, {course}) => {
      const kept = stockRemarks(course).queryKey
      void queries.invalidateQueries({queryKey: kept})
      const path = {course, stockRemark}
      remember({
        words: 'Kept in stock',
        back: () =>
          void unwrap(api.DELETE('/api/courses/{course}/stock-remarks/{stockRemark}', {params: {path}})).then(() =>
            queries.invalidateQueries({queryKey: kept}),
          ),
      })
    },
  })
  const undo = () => {
    history.at(-1)?.back()
    setHistory(old => old.slice(0, -1))
  }
  return {
    verdict,
    alike,
    note,
    dropNote,
    stock,
    draft,
    setDraft,
    undo,
    lastStep: history.at(-1)?.words ?? null,
    error: verdict.error ?? alike.error ?? note.error ?? dropNote.error ?? stock.error,
  }
}

export type Feedback = ReturnType<typeof useFeedback>
