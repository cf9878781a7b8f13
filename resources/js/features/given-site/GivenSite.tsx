import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Suspense, useMemo, type ReactNode} from 'react'
import {useParams} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {givenSite, source, type SiteOf} from '../../api/sites'
import {Coded} from '../../ui/Coded'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {Empty} from '../../ui/Remark'
import {Waiting} from '../../ui/Waiting'
import {many} from '../../lib/when'
import {Leaves} from '../desk/Leaves'
import {WHOLE} from '../desk/margin/marks'
import {usePlace, type Place} from '../desk/place'
import {PANEL, SheetTabs, tabId} from '../desk/SheetTabs'
import {Compared} from '../desk/views/compared/Compared'
import {PageMap} from '../desk/views/map/PageMap'
import {Menus} from '../desk/views/menus/Menus'
import {Seen} from '../desk/views/seen/Seen'
import {Sheets} from '../desk/views/sheets/Sheets'
import {SiteSheet} from '../desk/views/SiteSheet'
import {Paper} from '../desk/views/source/Paper'
import {Surveyed} from '../desk/views/Surveyed'
import {VIEWS} from '../desk/views/views'
import {Screen} from '../frame/Screen'

export function GivenSite() {
  const {id = '', site = ''} = useParams()
  return (
    <Screen key={`${id} ${site}`}>
      <GivenSiteScreen assignment={id} site={site} />
    </Screen>
  )
}

/** What nobody decides about a site of one's own needs no margin beside it. */
const LOOKS = VIEWS.filter(({id}) => id !== 'both')

/** A site that nobody handed in, looked at as hand-ins are; what a check says of it stands beside its source. */
function GivenSiteScreen({assignment, site}: {assignment: string; site: string}) {
  const {data} = useSuspenseQuery(givenSite(assignment, site))
  const {place, go} = usePlace(data.leaves[0]?.path ?? WHOLE)
  const view = LOOKS.find(one => one.id === place.view)?.id ?? 'source'
  const turn = (leaf: string) => go({leaf, line: null, mark: null})
  const turnBy = (by: number) => {
    const leaves = [WHOLE, ...data.leaves.map(one => one.path)]
    turn(leaves.at((leaves.indexOf(place.leaf) + by) % leaves.length) ?? WHOLE)
  }
  useKeys([
    {key: ']', does: 'next leaf', run: () => turnBy(1)},
    {key: '[', does: 'leaf before', run: () => turnBy(-1)},
    ...LOOKS.map(one => ({key: one.key, does: one.label, run: () => go({view: one.id})})),
  ])
  const tallies = useMemo(() => talliesOf(data.findings), [data.findings])
  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.assignment, to: `/assignments/${assignment}`},
        {name: data.name},
      ]}
      wide
    >
      <Box sx={{flex: 1, minHeight: 0, display: 'flex'}}>
        <Leaves
          desk={{leaves: data.leaves, tallies, notes: []}}
          whole="The whole site"
          leaf={place.leaf}
          to={leaf => `?${new URLSearchParams({leaf, view}).toString()}`}
          onTurn={turn}
        />
        <Box sx={{flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column'}}>
          <Box sx={{display: 'flex', px: 2, pt: 1, borderBottom: 1, borderColor: 'divider'}}>
            <SheetTabs views={LOOKS} view={view} onView={name => go({view: name})} />
          </Box>
          <Box role="tabpanel" id={PANEL} aria-labelledby={tabId(view)} sx={{flex: 1, minHeight: 0}}>
            <Suspense fallback={<Waiting>Turning the leaf…</Waiting>}>
              <Look of={{assignment, site}} data={data} place={place} view={view} go={go} turn={turn} />
            </Suspense>
          </Box>
        </Box>
      </Box>
    </Frame>
  )
}

function talliesOf(findings: Schemas['PencilledFinding'][]) {
  const counts = new Map<string, number>()
  for (const {file} of findings) counts.set(file, (counts.get(file) ?? 0) + 1)
  return [...counts].map(([leaf, pencilled]) => ({leaf, pencilled, inked: 0, rubbedOut: 0}))
}

interface LookProps {
  of: SiteOf
  data: Schemas['GivenSite']
  place: Place
  view: string
  go: (change: Partial<Place>) => void
  turn: (leaf: string) => void
}

function Look({of, data, place: {leaf, line}, view, go, turn}: LookProps) {
  const onLine = (path: string, at: number) => go({leaf: path, view: 'source', line: at, mark: null})
  const surveyed = (name: string, children: (survey: Schemas['SurveyView']) => ReactNode) => (
    <SiteSheet name={name}>
      <Surveyed of={of} leaf={leaf} onPage={turn}>
        {children}
      </Surveyed>
    </SiteSheet>
  )
  const there = data.leaves.find(one => one.path === leaf)
  switch (view) {
    case 'map':
      return surveyed('Page map', survey => (
        <PageMap
          survey={survey}
          findings={[]}
          leaf={leaf}
          onPage={turn}
          onLink={link => onLine(link.from, link.line)}
          alone={null}
        />
      ))
    case 'menus':
      return surveyed('Menus', survey => <Menus survey={survey} onPage={turn} onLine={onLine} />)
    case 'compared':
      return surveyed('Pages compared', survey => <Compared survey={survey} onPage={turn} onLine={onLine} />)
    case 'sheets':
      return surveyed('Sheets', survey => <Sheets survey={survey} onLine={onLine} />)
    case 'seen':
      if (there?.kind === 'page') {
        const sheets = data.leaves.filter(({kind}) => kind === 'stylesheet').map(({path}) => path)
        return <Seen of={of} leaf={leaf} sheets={sheets} onTurn={turn} />
      }
  }
  const isText = there !== undefined && there.kind !== 'picture'
  return (
    <SiteSheet name={leaf === WHOLE ? 'The whole site' : leaf}>
      {there?.kind === 'picture' && (
        <Box sx={{p: 2}}>
          <Empty>
            {leaf}, a picture of {Math.ceil(there.bytes / 1000)} kB. Turn to a page and choose “As seen” to see it where
            it stands.
          </Empty>
        </Box>
      )}
      {there === undefined && leaf !== WHOLE && (
        <Box sx={{p: 2}}>
          <Empty>There is no file {leaf} in this site.</Empty>
        </Box>
      )}
      <Box sx={{display: 'grid', gridTemplateColumns: isText ? 'minmax(0, 1fr) 20rem' : '1fr', minHeight: '100%'}}>
        {isText && <Text of={of} leaf={leaf} line={line} onLine={to => go({line: to})} />}
        <Found
          findings={data.findings.filter(({file}) => leaf === WHOLE || file === leaf)}
          isNamed={leaf === WHOLE}
          onLine={onLine}
        />
      </Box>
    </SiteSheet>
  )
}

function Text({
  of,
  leaf,
  line,
  onLine,
}: {
  of: SiteOf
  leaf: string
  line: number | null
  onLine: (line: number) => void
}) {
  const {data} = useSuspenseQuery(source(of, leaf))
  if (!data.readable) return <Empty>{data.remark}</Empty>
  return (
    <Paper
      ref={null}
      name={leaf}
      text={data.text}
      kind={data.kind}
      strokes={[]}
      line={line}
      onLine={onLine}
      onWrite={onLine}
      onHeights={() => undefined}
    />
  )
}

/** What a check without a brief says, in pencil. */
function Found({
  findings,
  isNamed,
  onLine,
}: {
  findings: Schemas['PencilledFinding'][]
  /** whether each says in which file it is */
  isNamed: boolean
  onLine: (file: string, line: number) => void
}) {
  return (
    <Box component="section" aria-label="What a check says" sx={{borderLeft: 1, borderColor: 'desk.rule', p: 2}}>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        {findings.length === 0
          ? 'A check finds nothing here.'
          : `A check finds ${many(findings.length, 'thing')} here. Only you and your markers can see this.`}
      </Typography>
      {findings.map(({fingerprint, file, line, message, remedy}) => (
        <Box key={fingerprint} sx={{py: 1, borderTop: 1, borderColor: 'desk.rule', color: 'desk.pencil'}}>
          <Typography variant="body2" color="inherit">
            {(line !== null || isNamed) && (
              <Link component="button" variant="body2" onClick={() => onLine(file, line ?? 1)}>
                {[isNamed ? file : null, line === null ? null : `line ${line}`]
                  .filter(part => part !== null)
                  .join(', ')}
              </Link>
            )}{' '}
            <Coded>{message}</Coded>
          </Typography>
          <Typography variant="body2" color="textSecondary">
            <Coded>{remedy}</Coded>
          </Typography>
        </Box>
      ))}
    </Box>
  )
}
