import {Box, Button, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {lazy, Suspense, useCallback, useLayoutEffect, useMemo, useRef} from 'react'
import {Link as RouterLink, useNavigate, useParams} from 'react-router'
import type {Schemas} from '../../api/client'
import {desk, source} from '../../api/queries'
import {Frame} from '../../parts/Frame'
import {useKeys} from '../../parts/keys'
import {Empty, ErrorText} from '../../parts/Remark'
import {RunState} from '../../parts/RunState'
import {Waiting} from '../../parts/Waiting'
import {when} from '../../parts/when'
import {Screen} from '../Screen'
import {Leaves} from './Leaves'
import {Margin, type MarginActions} from './Margin'
import {marginOf, WHOLE, type Finding, type MarginItem, type State} from './marks'
import {usePlace, type Place} from './place'
import {Points} from './Points'
import {Seen} from './Seen'
import {Source} from './Source'
import {useFeedback} from './useFeedback'

export function Desk() {
  const {id = ''} = useParams()
  return (
    <Screen key={id}>
      <DeskScreen id={id} />
    </Screen>
  )
}

const VIEWS = [
  ['source', 'Source'],
  ['seen', 'As seen'],
  ['both', 'Both'],
  ['map', 'Page map'],
  ['menus', 'Menus'],
  ['compared', 'Pages compared'],
] as const

/** Views of the site as a whole, and not of one leaf. */
const OF_THE_SITE = ['map', 'menus', 'compared']

const SurveyView = lazy(async () => ({default: (await import('../survey/SurveyView')).SurveyView}))

function DeskScreen({id}: {id: string}) {
  const {data} = useSuspenseQuery(desk(id))
  const navigate = useNavigate()
  const feedback = useFeedback(id)
  const {draft, setDraft} = feedback
  const {place, go, newest} = usePlace(data.leaves.find(one => !one.missing)?.path ?? WHOLE)
  const {leaf, view, mark: current, line} = place
  const items = useMemo(
    () => marginOf(leaf, data.findings, data.notes, draft),
    [leaf, data.findings, data.notes, draft],
  )

  const turn = useCallback((to: string) => go({leaf: to, mark: null, line: null}), [go])
  const to = (path: string) => `?${new URLSearchParams({leaf: path, view}).toString()}`

  const leafOrder = useMemo(() => [WHOLE, ...data.leaves.map(one => one.path)], [data.leaves])
  const choose = (key: string, change: Partial<Place> = {}) => go({...change, mark: key})
  const chosen = () => data.findings.find(one => one.fingerprint === newest().mark)
  const step = (by: number) => {
    const {leaf: here, mark} = newest()
    const findings = inOrder(data.findings, leafOrder)
    const at = findings.findIndex(one => one.fingerprint === mark)
    const onLeaf = findings.findIndex(one => one.file === here)
    const next = findings[at === -1 ? Math.max(0, onLeaf) : (at + by + findings.length) % findings.length]
    if (next === undefined) return
    choose(next.fingerprint, {leaf: next.file, line: next.line})
  }
  const turnBy = (by: number) => {
    const next = leafOrder[(leafOrder.indexOf(newest().leaf) + by + leafOrder.length) % leafOrder.length]
    if (next !== undefined) turn(next)
  }
  const write = useCallback(
    (at: number | null) => {
      const {leaf: on} = newest()
      setDraft({id: null, file: on === WHOLE ? null : on, line: at, body: '', merit: false})
    },
    [newest, setDraft],
  )
  const writeAtLine = useCallback(
    (number: number) => {
      go({line: number})
      write(number)
    },
    [go, write],
  )
  const decide: MarginActions['decide'] = (finding, state) => feedback.verdict.mutate({finding, state})
  const toggle = (state: State) => {
    const finding = chosen()
    if (finding !== undefined) decide(finding, finding.state === state ? 'pencilled' : state)
  }

  useKeys([
    {key: 'n', does: 'next mark', run: () => step(1)},
    {key: 'b', does: 'back', run: () => step(-1)},
    {key: 'i', does: 'ink', run: () => toggle('inked')},
    {key: 'e', does: 'rub out', run: () => toggle('rubbed-out')},
    {
      key: 'm',
      does: 'write here',
      run: () => {
        const finding = chosen()
        const here = newest()
        write(finding?.file === here.leaf ? finding.line : here.line)
      },
    },
    {key: ']', does: 'next leaf', run: () => turnBy(1)},
    {key: '[', does: 'leaf before', run: () => turnBy(-1)},
    {
      key: '.',
      does: 'next student',
      run: () => {
        if (data.nextId !== null) void navigate(`/hand-ins/${data.nextId}`)
      },
    },
    {
      key: ',',
      does: 'student before',
      run: () => {
        if (data.previousId !== null) void navigate(`/hand-ins/${data.previousId}`)
      },
    },
    {key: 'u', does: 'undo', run: feedback.undo},
    {key: 'r', does: 'read the reply', run: () => void navigate(`/hand-ins/${id}/reply`)},
    ...VIEWS.map(([name, label], index) => ({key: String(index + 1), does: label, run: () => go({view: name})})),
  ])

  const actions: MarginActions = {
    choose,
    decide,
    edit: item => {
      if (item.kind === 'note')
        setDraft({
          id: item.note.id,
          version: item.note.version,
          file: item.note.file,
          line: item.note.line,
          body: item.note.body,
          merit: item.note.merit,
        })
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
  }
  const margin = {items, current, actions: useSteady(actions), keeping: feedback.note.isPending}
  const steps = [
    {name: data.course, to: `/courses/${data.courseId}`},
    {name: data.assignment, to: `/assignments/${data.assignmentId}`},
    {name: data.student},
  ]

  return (
    <Frame
      steps={steps}
      wide
      foot={
        feedback.lastStep !== null && (
          <>
            {feedback.lastStep}{' '}
            <Link component="button" onClick={feedback.undo}>
              Undo
            </Link>
          </>
        )
      }
    >
      <Box sx={{flex: 1, minHeight: 0, display: 'flex'}}>
        <Leaves desk={data} leaf={leaf} to={to} onTurn={turn} />
        <Box sx={{flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column'}}>
          <Heading desk={data} view={view} onView={name => go({view: name})} onWrite={() => write(null)} />
          <ErrorText error={feedback.error} />
          <Suspense fallback={<Waiting>Turning the leaf…</Waiting>}>
            <Sheet
              desk={data}
              leaf={leaf}
              view={view}
              line={line}
              margin={margin}
              onLine={writeAtLine}
              onTurn={turn}
              onGo={go}
            />
          </Suspense>
        </Box>
      </Box>
    </Frame>
  )
}

/** Findings as they are gone through: leaf by leaf, and in each from top to bottom. */
function inOrder(findings: Finding[], leafOrder: string[]): Finding[] {
  const at = new Map(leafOrder.map((path, index) => [path, index]))
  return [...findings].sort((a, b) => (at.get(a.file) ?? -1) - (at.get(b.file) ?? -1))
}

/** Actions that are the same objects for ever and do what the newest render says, so that what they are given to can rest. */
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
    }),
    [],
  )
}

function Heading({
  desk,
  view,
  onView,
  onWrite,
}: {
  desk: Schemas['Desk']
  view: string
  onView: (view: string) => void
  onWrite: () => void
}) {
  return (
    <Box sx={{display: 'flex', alignItems: 'flex-end', gap: 2, px: 2, pt: 1, borderBottom: 1, borderColor: 'divider'}}>
      <Box role="tablist" aria-label="Views of the sheet" sx={{display: 'flex', gap: 0.5}}>
        {VIEWS.map(([name, label]) => (
          <Box
            key={name}
            component="button"
            type="button"
            role="tab"
            aria-selected={view === name}
            onClick={() => onView(name)}
            sx={{
              font: 'inherit',
              cursor: 'pointer',
              whiteSpace: 'nowrap',
              px: {xs: 1, lg: 1.75},
              py: 0.5,
              mb: '-1px',
              color: 'text.primary',
              border: 1,
              borderColor: view === name ? 'divider' : 'transparent',
              borderBottomColor: view === name ? 'desk.sheet' : 'transparent',
              bgcolor: view === name ? 'desk.sheet' : 'transparent',
              borderRadius: '3px 9px 0 0',
            }}
          >
            {label}
          </Box>
        ))}
      </Box>
      <Box sx={{flex: 1, minWidth: 0, pb: 0.75}}>
        <Typography
          variant="body2"
          color="textSecondary"
          component="div"
          noWrap
          title={`${desk.archiveName}, ${when(desk.arrivedAt)}`}
        >
          {desk.attempts.length > 1 &&
            desk.attempts.map(one => (
              <Box key={one.id} component="span" sx={{mr: 1}}>
                {one.id === desk.id ? (
                  <b>attempt {one.attempt}</b>
                ) : (
                  <Link component={RouterLink} to={`/hand-ins/${one.id}`}>
                    attempt {one.attempt}
                  </Link>
                )}
              </Box>
            ))}
          {desk.late && (
            <Box component="b" sx={{color: 'desk.waits', mr: 1}}>
              late
            </Box>
          )}
          {desk.archiveName}, {when(desk.arrivedAt)}
        </Typography>
      </Box>
      <Box sx={{display: 'flex', gap: 1, pb: 0.5}}>
        <Button onClick={onWrite}>Write a note</Button>
        <Button component={RouterLink} to={`/hand-ins/${desk.id}/reply`} variant="outlined">
          {desk.repliedAt === null ? 'Reply' : 'Reply, released'}
        </Button>
      </Box>
    </Box>
  )
}

interface SheetProps {
  desk: Schemas['Desk']
  leaf: string
  view: string
  line: number | null
  margin: {items: MarginItem[]; current: string | null; actions: MarginActions; keeping: boolean}
  onLine: (line: number) => void
  onTurn: (leaf: string) => void
  onGo: (change: Partial<Place>) => void
}

const marginWidth = (view: string) => (view === 'both' ? '16rem' : '22rem')

function Sheet(props: SheetProps) {
  const {desk, leaf, view, margin, onTurn} = props
  const there = desk.leaves.find(one => one.path === leaf)
  const isPage = there?.kind === 'page' && !there.missing
  const hasSource = leaf !== WHOLE && there !== undefined && !there.missing && there.kind !== 'picture'
  const seenBeside = isPage && view === 'both'
  if (OF_THE_SITE.includes(view)) {
    return (
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: `minmax(0, 1fr) ${view === 'map' ? '18rem' : '0'}`,
        }}
      >
        <Box
          tabIndex={0}
          role="region"
          aria-label={VIEWS.find(([name]) => name === view)?.[1]}
          sx={{overflow: 'auto', bgcolor: 'desk.sheet'}}
        >
          <SurveyView
            handIn={desk.id}
            view={view}
            findings={desk.findings}
            leaf={leaf}
            onPage={onTurn}
            alone={`/hand-ins/${desk.id}/map?${new URLSearchParams({leaf}).toString()}`}
            onLink={(link, finding) =>
              props.onGo({leaf: link.from, view: 'source', line: link.line, mark: finding?.fingerprint ?? null})
            }
            onLine={(path, line) => props.onGo({leaf: path, view: 'source', line, mark: null})}
          />
        </Box>
        {view === 'map' && <SideColumn {...props} />}
      </Box>
    )
  }
  if (isPage && view === 'seen') {
    return (
      <Box sx={{flex: 1, minHeight: 0, display: 'grid', gridTemplateColumns: `minmax(0, 1fr) ${marginWidth(view)}`}}>
        <Seen handIn={desk.id} leaf={leaf} onTurn={onTurn} />
        <SideColumn {...props} />
      </Box>
    )
  }
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: seenBeside ? '36% minmax(0, 1fr)' : 'minmax(0, 1fr)',
      }}
    >
      {seenBeside && (
        <Box sx={{borderRight: 1, borderColor: 'divider', minHeight: 0}}>
          <Seen handIn={desk.id} leaf={leaf} onTurn={onTurn} />
        </Box>
      )}
      {hasSource ? (
        <SourceAndMargin {...props} key={leaf} />
      ) : (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: `minmax(0, 1fr) ${marginWidth(view)}`,
            minHeight: 0,
            bgcolor: 'desk.sheet',
          }}
        >
          <Box sx={{p: 4, overflow: 'auto'}}>
            {leaf === WHOLE && <Whole desk={desk} />}
            {there?.missing === true && (
              <Empty>{leaf} is not in the hand-in. What was found about it is in the margin.</Empty>
            )}
            {there !== undefined && !there.missing && there.kind === 'picture' && (
              <Empty>
                {leaf}, a picture of {Math.ceil(there.bytes / 1000)} kB. Turn to a page and choose “As seen” to see it
                where it stands.
              </Empty>
            )}
            {there === undefined && leaf !== WHOLE && <Empty>There is no file {leaf} in this hand-in.</Empty>}
          </Box>
          <Box sx={{borderLeft: 1, borderColor: 'divider', overflow: 'auto'}}>
            <Points handIn={desk.id} outcomes={desk.outcomes} />
            <Margin {...margin} />
          </Box>
        </Box>
      )}
    </Box>
  )
}

function Whole({desk}: {desk: Schemas['Desk']}) {
  const decided = desk.findings.filter(finding => finding.state !== 'pencilled').length
  return (
    <>
      <Typography variant="h1" gutterBottom>
        {desk.student}
      </Typography>
      <RunState run={desk.run}>
        <Typography variant="body1">
          {desk.findings.length === 0
            ? 'The check found nothing on any page. A word of praise may be due: press m.'
            : `${desk.findings.length} findings on ${new Set(desk.findings.map(finding => finding.file)).size} leaves, ${decided} of them decided. Press n to go through them.`}
        </Typography>
      </RunState>
    </>
  )
}

function SideColumn({desk, margin}: SheetProps) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        borderLeft: 1,
        borderColor: 'divider',
        bgcolor: 'desk.sheet',
      }}
    >
      <Points handIn={desk.id} outcomes={desk.outcomes} />
      <Box sx={{flex: 1, overflow: 'auto'}}>
        <Margin {...margin} />
      </Box>
    </Box>
  )
}

/** The source with the margin beside it, on one sheet that scrolls as one. */
function SourceAndMargin({desk, leaf, view, line, margin, onLine}: SheetProps) {
  const {data} = useSuspenseQuery(source(desk.id, leaf))
  const list = useRef<HTMLOListElement>(null)
  return (
    <Box sx={{display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)', minHeight: 0, bgcolor: 'desk.sheet'}}>
      <Points handIn={desk.id} outcomes={desk.outcomes} />
      <Box
        tabIndex={0}
        role="region"
        aria-label={`${leaf} and its margin`}
        sx={{overflow: 'auto', position: 'relative'}}
      >
        {data.remark !== null && (
          <Typography variant="body2" sx={{color: 'desk.waits', px: 3, pt: 1}}>
            {data.remark}
          </Typography>
        )}
        <Box sx={{display: 'grid', gridTemplateColumns: `minmax(0, 1fr) ${marginWidth(view)}`, position: 'relative'}}>
          {data.readable ? (
            <Source ref={list} text={data.text} kind={data.kind} items={margin.items} line={line} onLine={onLine} />
          ) : (
            <span />
          )}
          <Box sx={{borderLeft: 1, borderColor: 'desk.rule', py: 1.5}}>
            {data.readable ? <Margin {...margin} beside={list} /> : <Margin {...margin} />}
          </Box>
        </Box>
      </Box>
    </Box>
  )
}
