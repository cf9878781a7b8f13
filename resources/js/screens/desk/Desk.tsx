import {Box, Link} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Suspense, useCallback, useLayoutEffect, useMemo, useRef, type ReactNode} from 'react'
import {useNavigate, useParams} from 'react-router'
import {desk, findings} from '../../api/queries'
import {Frame} from '../../parts/Frame'
import {useKeys} from '../../parts/keys'
import {ErrorText} from '../../parts/Remark'
import {Waiting} from '../../parts/Waiting'
import {Screen} from '../Screen'
import {DeskContext, type DeskState} from './desk'
import {Heading} from './Heading'
import {useInTurn} from './inTurn'
import {Leaves} from './Leaves'
import {marginOf, WHOLE, type State} from './margin/marks'
import type {MarginActions} from './margin/Sidenote'
import {usePlace} from './place'
import {PANEL, tabId} from './SheetTabs'
import {useFeedback, type Feedback} from './useFeedback'
import {useNextLeafAhead, useSteps} from './useSteps'
import {viewOf, VIEWS} from './views/views'

export function Desk() {
  const {id = ''} = useParams()
  return (
    <Screen key={id}>
      <DeskScreen id={id} />
    </Screen>
  )
}

function DeskScreen({id}: {id: string}) {
  const {data} = useSuspenseQuery(desk(id))
  const navigate = useNavigate()
  const feedback = useFeedback(id)
  const {draft, setDraft} = feedback
  const {place, go, newest} = usePlace(data.first.leaf)
  const {chosen, step, turnBy} = useSteps(data, newest, go)
  const inTurn = useInTurn()
  useNextLeafAhead(data, place.leaf)
  const view = viewOf(place.view)

  const turn = useCallback((to: string) => go({leaf: to, mark: null, line: null}), [go])
  const to = (path: string) => `?${new URLSearchParams({leaf: path, view: view.id}).toString()}`
  const write = useCallback(
    (at: number | null) => {
      const {leaf: on} = newest()
      setDraft({id: null, file: on === WHOLE ? null : on, line: at, body: '', merit: false})
    },
    [newest, setDraft],
  )
  const pick = () => {
    const {leaf: on, line} = newest()
    const found = chosen()
    setDraft({
      id: null,
      file: on === WHOLE ? null : on,
      line: found?.line ?? line,
      body: '',
      merit: false,
      picking: true,
      rule: found?.rule ?? null,
      column: found?.column ?? 1,
    })
  }
  const keepInStock = (note: string | null) => {
    const kept = data.notes.find(one => one.id === note)
    if (kept !== undefined) feedback.stock.mutate({course: data.courseId, note: kept})
  }
  const decide: MarginActions['decide'] = (finding, state) =>
    feedback.verdict.mutate({finding, leaf: newest().leaf, state})
  const toggle = (state: State) => {
    const finding = chosen()
    if (finding !== undefined) decide(finding, finding.state === state ? 'pencilled' : state)
  }
  const visit = (handIn: string | null) => {
    if (handIn !== null) void navigate(`/hand-ins/${handIn}`)
  }

  const keys: [string, string, () => unknown][] = [
    ['n', 'next mark', () => step(1)],
    ['b', 'back', () => step(-1)],
    ['i', 'ink', () => toggle('inked')],
    ['e', 'rub out', () => toggle('rubbed-out')],
    ['m', 'write here', () => write(chosen()?.line ?? newest().line)],
    [']', 'next leaf', () => turnBy(1)],
    ['[', 'leaf before', () => turnBy(-1)],
    ['.', 'next student', () => visit(data.nextId)],
    [',', 'student before', () => visit(data.previousId)],
    ['u', 'undo', feedback.undo],
    ['r', 'stock remark', pick],
    ['k', 'keep the note in stock', () => keepInStock(newest().mark)],
    ['y', 'read the reply', () => void navigate(`/hand-ins/${id}/reply`)],
    ...VIEWS.map(({id: name, key, label}): [string, string, () => unknown] => [key, label, () => go({view: name})]),
  ]
  useKeys(keys.map(([key, does, act]) => ({key, does, run: () => inTurn(act)})))

  const actions = useSteady({
    choose: key => go({mark: key}),
    decide,
    edit: item => {
      if (item.kind !== 'note') return
      const {id: note, version, file, line, body, merit} = item.note
      setDraft({id: note, version, file, line, body, merit})
    },
    drop: note => {
      const taken = data.notes.find(one => one.id === note)
      if (taken !== undefined) feedback.dropNote.mutate(taken)
    },
    type: setDraft,
    keep: () => {
      if (draft !== null && draft.body.trim() !== '') feedback.note.mutate(draft)
    },
    discard: () => setDraft(null),
    to,
    stock: keepInStock,
  })

  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.assignment, to: `/assignments/${data.assignmentId}`},
        {name: data.student},
      ]}
      wide
      foot={<LastStep feedback={feedback} />}
    >
      <Box sx={{flex: 1, minHeight: 0, display: 'flex'}}>
        <Leaves desk={data} whole="The whole hand-in" leaf={place.leaf} to={to} onTurn={turn} />
        <Box sx={{flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column'}}>
          <Heading desk={data} view={view.id} onView={name => go({view: name})} onWrite={() => write(null)} />
          <ErrorText error={feedback.error} />
          <Box role="tabpanel" id={PANEL} aria-labelledby={tabId(view.id)} sx={{flex: 1, minHeight: 0}}>
            <Suspense fallback={<Waiting>Turning the leaf…</Waiting>}>
              <OnDesk
                desk={data}
                leaf={place.leaf}
                line={place.line}
                current={place.mark}
                draft={draft}
                actions={actions}
                keeping={feedback.note.isPending}
                go={go}
                turn={turn}
                write={write}
              >
                <view.Component />
              </OnDesk>
            </Suspense>
          </Box>
        </Box>
      </Box>
    </Frame>
  )
}

/** Gives a view what is on the desk, and in the margin of the leaf that lies on it. */
function OnDesk({
  draft,
  children,
  ...state
}: Omit<DeskState, 'items'> & {draft: Feedback['draft']; children: ReactNode}) {
  const {desk: data, leaf} = state
  const {data: found} = useSuspenseQuery(findings(data.id, leaf))
  const items = useMemo(() => marginOf(leaf, found, data.notes, draft), [leaf, found, data.notes, draft])
  return <DeskContext value={{...state, items}}>{children}</DeskContext>
}

/** What was done last, and a way back from it. */
function LastStep({feedback}: {feedback: Feedback}) {
  if (feedback.lastStep === null) return null
  return (
    <>
      {feedback.lastStep}{' '}
      <Link component="button" onClick={feedback.undo}>
        Undo
      </Link>
    </>
  )
}

/** Actions that stay the same objects and do what the newest render says, so that what they are given to can rest. */
function useSteady(actions: MarginActions): MarginActions {
  const newest = useRef(actions)
  useLayoutEffect(() => {
    newest.current = actions
  })
  return useMemo(
    () => ({
      choose: key => newest.current.choose(key),
      decide: (finding, state) => newest.current.decide(finding, state),
      edit: item => newest.current.edit(item),
      drop: id => newest.current.drop(id),
      type: draft => newest.current.type(draft),
      keep: () => newest.current.keep(),
      discard: () => newest.current.discard(),
      to: leaf => newest.current.to(leaf),
      stock: note => newest.current.stock(note),
    }),
    [],
  )
}
