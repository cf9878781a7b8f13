import {Box} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Suspense, useCallback, useLayoutEffect, useMemo, useReducer, useRef, type ReactNode} from 'react'
import {useNavigate, useParams} from 'react-router'
import {desk, findings} from '../../api/desk'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {ErrorText} from '../../ui/Remark'
import {Waiting} from '../../ui/Waiting'
import {Screen} from '../frame/Screen'
import {changeMode, firstMode} from './deskMode'
import {DeskContext, type DeskState} from './deskState'
import {Flow} from './Flow'
import {FootOfDesk} from './FootOfDesk'
import {Heading} from './Heading'
import {useQueue} from './useQueue'
import {Leaves} from './Leaves'
import {isShown} from './margin/filter'
import {gather} from './margin/gather'
import {marginOf, newDraft, type State} from './margin/marks'
import type {MarginActions} from './margin/actions'
import {keepSavePoint, usePlace, writePlace} from './place'
import {PANEL, tabId} from './SheetTabs'
import {useFeedback, type Feedback} from './useFeedback'
import {useHere} from './useHere'
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
  const {place, go, newest} = usePlace(data.first.leaf, id)
  const [mode, change] = useReducer(changeMode, requirementInAddress(), firstMode)
  const here = useHere(id, data.stamp)
  const {chosen, step, turnBy} = useSteps(data, newest, go, mode.filter)
  const inTurn = useQueue()
  useNextLeafAhead(data, place.leaf)
  const view = viewOf(place.view)

  const turn = useCallback((to: string) => go({leaf: to, mark: null, line: null}), [go])
  const to = (path: string) => `?${new URLSearchParams({leaf: path, view: view.id}).toString()}`
  const write = useCallback((at: number | null) => setDraft(newDraft(newest().leaf, at)), [newest, setDraft])
  const pick = () => {
    const {leaf: on, line} = newest()
    const found = chosen()
    const at = {picking: true, rule: found?.rule ?? null, column: found?.column ?? 1}
    setDraft(newDraft(on, found?.line ?? line, at))
  }
  const keepInStock = (note: string | null) => {
    const kept = data.notes.find(one => one.id === note)
    if (kept !== undefined) feedback.stock.mutate({course: data.courseId, note: kept})
  }
  const decide: MarginActions['decide'] = (finding, state, reason) =>
    feedback.verdict.mutate({finding, leaf: newest().leaf, state, ...(reason === undefined ? {} : {reason})})
  const toggle = (state: State) => {
    const finding = chosen()
    if (finding !== undefined) decide(finding, finding.state === state ? 'pencilled' : state)
  }
  const visit = (handIn: string | null) => {
    if (handIn !== null) void navigate(`/hand-ins/${handIn}`)
  }
  const otherAttempt = () => {
    const at = data.attempts.findIndex(one => one.id === id)
    const other = data.attempts[at - 1] ?? data.attempts[at + 1]
    if (other !== undefined) void navigate(`/hand-ins/${other.id}?${writePlace(newest()).toString()}`)
  }

  const keys: [string, string, () => unknown][] = [
    ['n', 'next mark', () => step(1)],
    ['b', 'back', () => step(-1)],
    ['i', 'ink', () => toggle('inked')],
    ['e', 'rub out', () => toggle('rubbed-out')],
    [
      'w',
      'say why it is rubbed out',
      () => {
        const finding = chosen()
        change({change: 'ask why', of: finding?.state === 'rubbed-out' ? finding.fingerprint : null})
      },
    ],
    ['m', 'write here', () => write(chosen()?.line ?? newest().line)],
    [']', 'next leaf', () => turnBy(1)],
    ['[', 'leaf before', () => turnBy(-1)],
    ['.', 'next student', () => visit(data.nextId)],
    [',', 'student before', () => visit(data.previousId)],
    [
      's',
      'save point and go on',
      () => {
        keepSavePoint(id, newest())
        visit(data.nextId)
      },
    ],
    ['u', 'undo', feedback.undo],
    ['a', 'all like it', () => change({change: 'fold or ask alike', of: chosen()?.fingerprint ?? null})],
    ['r', 'stock remark', pick],
    ['k', 'keep the note in stock', () => keepInStock(newest().mark)],
    ['q', 'requirements', () => change({change: 'fold or unfold points'})],
    [
      'j',
      'judge what waits',
      () => {
        const waiting = data.outcomes.find(one => one.choices.length > 0 && one.reason === null)
        if (waiting !== undefined) change({change: 'show requirement', requirement: waiting.requirement})
      },
    ],
    ['t', 'same place, other attempt', otherAttempt],
    ['y', 'read the reply', () => void navigate(`/hand-ins/${id}/reply`)],
    ...VIEWS.map(({id: name, key, label}): [string, string, () => unknown] => [key, label, () => go({view: name})]),
  ]
  useKeys(keys.map(([key, does, act]) => ({key, does, run: () => inTurn(act)})))

  const actions = useSteady({
    choose: key => go({mark: key}),
    decide,
    decideAlike: (finding, reach, state, reason) => {
      feedback.alike.mutate({finding, reach, state, reason})
      change({change: 'ask alike', of: null})
    },
    openAlike: of => change({change: 'ask alike', of}),
    edit: item => {
      if (item.kind !== 'note') return
      const {id: note, version, file, line, body, kind} = item.note
      setDraft({id: note, version, file, line, body, kind})
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
    open: key => change({change: 'open', key}),
    toRequirement: requirement => change({change: 'show requirement', requirement}),
  })

  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.assignment, to: `/assignments/${data.assignmentId}`},
        {name: data.student},
      ]}
      wide
      foot={<FootOfDesk feedback={feedback} />}
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
                seconds={here.seconds}
                leaf={place.leaf}
                line={place.line}
                current={place.mark}
                draft={draft}
                mode={mode}
                change={change}
                actions={actions}
                keeping={feedback.note.isPending}
                go={go}
                turn={turn}
                write={write}
                writeDraft={setDraft}
              >
                <view.Component />
              </OnDesk>
            </Suspense>
          </Box>
          <Flow desk={data} others={here.others} rule={chosen()?.rule ?? null} />
        </Box>
      </Box>
    </Frame>
  )
}

/** The requirement that an address leads to. */
const requirementInAddress = () => new URLSearchParams(location.search).get('requirement')

/** Gives a view what is on the desk, and in the margin of the leaf that lies on it. */
function OnDesk({
  draft,
  children,
  ...state
}: Omit<DeskState, 'margin'> & {
  draft: Feedback['draft']
  children: ReactNode
}) {
  const {desk: data, leaf, current} = state
  const {filter, opened} = state.mode
  const {data: found} = useSuspenseQuery(findings(data.id, leaf))
  const items = useMemo(() => marginOf(leaf, found, data.notes, draft), [leaf, found, data.notes, draft])
  const shown = useMemo(() => items.filter(item => isShown(filter, item, current)), [items, filter, current])
  const gathered = useMemo(() => gather(shown, opened, current), [shown, opened, current])
  return <DeskContext value={{...state, margin: {found, items, shown, gathered}}}>{children}</DeskContext>
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
      decide: (finding, state, reason) => newest.current.decide(finding, state, reason),
      decideAlike: (finding, reach, state, reason) => newest.current.decideAlike(finding, reach, state, reason),
      openAlike: fingerprint => newest.current.openAlike(fingerprint),
      edit: item => newest.current.edit(item),
      drop: id => newest.current.drop(id),
      type: draft => newest.current.type(draft),
      keep: () => newest.current.keep(),
      discard: () => newest.current.discard(),
      to: leaf => newest.current.to(leaf),
      stock: note => newest.current.stock(note),
      open: key => newest.current.open(key),
      toRequirement: requirement => newest.current.toRequirement(requirement),
    }),
    [],
  )
}
