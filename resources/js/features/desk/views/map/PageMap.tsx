import {Box, Link, Typography} from '@mui/material'
import {useLayoutEffect, useMemo, useRef, useState} from 'react'
import {Link as RouterLink} from 'react-router'
import {many} from '../../../../lib/when'
import type {Finding} from '../../margin/marks'
import {way} from '../seen/walked'
import {LinkTable} from './LinkTable'
import {
  curve,
  draw,
  findingOf,
  half,
  isBroken,
  SLIP,
  type Line,
  type Slip,
  type Survey,
  type SurveyLink,
} from './layout'

interface Props {
  survey: Survey
  findings: Finding[]
  /** the ways that were walked in the page as seen */
  walked?: ReadonlySet<string>
  leaf: string
  onPage: (path: string) => void
  onLink: (link: SurveyLink, finding: Finding | null) => void
  /** the address at which the map has the whole width; null when it is there */
  alone: string | null
}

const KINDS: Record<string, string> = {
  menu: 'that every page links to every other',
  ring: 'for a ring',
  chain: 'for a chain',
  branching: 'for a branching story',
  index: 'that one page lists the others',
}
const PLAINLY: Record<string, string> = {
  menu: 'every page links to nearly every other',
  ring: 'this is plainly a ring',
  chain: 'this is plainly a chain',
  branching: 'this is plainly a branching story',
  index: 'one page lists the others',
}

/** How the pages link, drawn; and the same facts as a table. */
export function PageMap({survey, findings, walked = NONE, leaf, onPage, onLink, alone}: Props) {
  const [asTable, setAsTable] = useState(false)
  const picture = useRef<SVGSVGElement>(null)
  return (
    <Box sx={{px: 3, py: 1.5}}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap'}}>
        <Typography variant="body2" color="textSecondary" sx={{flex: 1}}>
          <Summary survey={survey} walked={walked} />
        </Typography>
        <Link component="button" variant="body2" onClick={() => setAsTable(!asTable)}>
          {asTable ? 'As a drawing' : 'As a table'}
        </Link>
        {alone !== null && (
          <Link component={RouterLink} variant="body2" to={alone}>
            Full width
          </Link>
        )}
        {!asTable && (
          <Link
            component="button"
            variant="body2"
            onClick={() => {
              if (picture.current !== null) save(picture.current)
            }}
          >
            Save as SVG
          </Link>
        )}
      </Box>
      {asTable ? (
        <LinkTable survey={survey} findings={findings} walked={walked} onPage={onPage} onLink={onLink} />
      ) : (
        <Picture
          survey={survey}
          findings={findings}
          walked={walked}
          leaf={leaf}
          onPage={onPage}
          onLink={onLink}
          picture={picture}
        />
      )}
    </Box>
  )
}

const NONE: ReadonlySet<string> = new Set()

function Summary({survey, walked}: {survey: Survey; walked: ReadonlySet<string>}) {
  const {pattern, pages, all, around} = survey
  const broken = survey.links.filter(isBroken).length
  const went = survey.links.filter(link => walked.has(way(link.from, link.to))).length
  return (
    <>
      {around === null
        ? many(all.length, 'page')
        : `${around} and ${pages.length - 1} of the ${all.length - 1} other pages: its neighbours`}
      {broken > 0 && `, ${broken} broken ${broken === 1 ? 'link' : 'links'}`}
      {pattern !== null &&
        `. ${pattern.asked ? `The brief asks ${KINDS[pattern.kind] ?? pattern.kind}` : upper(PLAINLY[pattern.kind] ?? pattern.kind)}: ${pattern.met} of ${pattern.of} links are there`}
      {went > 0 && `. ${went} of ${survey.links.length} ways walked`}.
    </>
  )
}

function Picture({
  survey,
  findings,
  walked = NONE,
  leaf,
  onPage,
  onLink,
  picture,
}: Omit<Props, 'alone'> & {picture: React.RefObject<SVGSVGElement | null>}) {
  const paper = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(0)
  useLayoutEffect(() => {
    const measure = () => setWidth(Math.max(420, Math.round(paper.current?.clientWidth ?? 0)))
    const watch = new ResizeObserver(measure)
    if (paper.current !== null) watch.observe(paper.current)
    measure()
    return () => watch.disconnect()
  }, [])
  const drawing = useMemo(() => (width === 0 ? null : draw(survey, width)), [survey, width])
  return (
    <Box ref={paper} sx={{mt: 1}}>
      {drawing !== null && (
        <Box
          component="svg"
          ref={picture}
          role="group"
          aria-label="Page map"
          viewBox={`0 0 ${drawing.width} ${drawing.height}`}
          width={drawing.width}
          height={drawing.height}
          sx={theme => {
            const {desk, text, divider} = (theme.vars ?? theme).palette
            return {
              display: 'block',
              fontFamily: theme.typography.fontFamily,
              '& .wanted': {fill: 'none', stroke: divider, strokeWidth: 11, strokeLinecap: 'round'},
              '& .wanted.lacking': {stroke: desk.waits, strokeOpacity: 0.35, strokeDasharray: '1 15'},
              '& .line': {fill: 'none', stroke: desk.pencil, strokeWidth: 1.1},
              '& .line.menu': {strokeOpacity: 0.65},
              '& .line.here': {stroke: desk.ink, strokeWidth: 1.8, strokeOpacity: 1},
              '& .line.broken': {stroke: desk.fault, strokeWidth: 1.8, strokeDasharray: '7 5', strokeOpacity: 1},
              '& .line.wrong': {stroke: desk.fault, strokeWidth: 1.8, strokeOpacity: 1},
              '& .reach': {fill: 'none', stroke: 'transparent', strokeWidth: 12, cursor: 'pointer'},
              '& .tick': {stroke: desk.merit, strokeWidth: 2.2, fill: 'none'},
              '& .cut': {stroke: desk.fault, strokeWidth: 2.2, fill: 'none'},
              '& .head': {fill: desk.pencil},
              '& .head.here': {fill: desk.ink},
              '& .head.broken, & .head.wrong': {fill: desk.fault},
              '& .slip': {fill: desk.sheet, stroke: desk.pencil, strokeWidth: 1},
              '& .slip.here': {stroke: desk.ink, strokeWidth: 2.4},
              '& .slip.lost': {strokeDasharray: '4 4', stroke: desk.fault},
              '& .slip.ghost': {strokeDasharray: '2 4', stroke: desk.fault, fill: 'none'},
              '& .rule': {stroke: desk.pencil, strokeWidth: 1},
              '& .stop': {stroke: desk.fault, strokeWidth: 3.5},
              '& .name': {fill: text.primary, fontSize: 12.5, fontWeight: 600},
              '& .said': {fill: text.secondary, fontSize: 11.5},
              '& .ghost-name': {fill: desk.fault, fontSize: 12.5},
              '& .apart': {
                fill: desk.fault,
                fontSize: 12.5,
                fontStyle: 'italic',
                stroke: desk.sheet,
                strokeWidth: 5,
                paintOrder: 'stroke',
                strokeLinejoin: 'round',
              },
              '& .apart-line': {stroke: divider, strokeWidth: 1},
              '& .page': {cursor: 'pointer'},
              '& [tabindex]:focus-visible': {outline: `2px solid ${desk.ink}`, outlineOffset: 2},
            }
          }}
        >
          <defs>
            {['', 'here', 'broken', 'wrong'].map(kind => (
              <marker
                key={kind}
                id={`head-${kind}`}
                viewBox="0 0 8 8"
                refX="7.5"
                refY="4"
                markerWidth="7"
                markerHeight="7"
                markerUnits="userSpaceOnUse"
                orient="auto-start-reverse"
              >
                <path className={`head ${kind}`} d="M0 0.6 L8 4 L0 7.4 L2.2 4 Z" />
              </marker>
            ))}
          </defs>
          {drawing.wanted.map(({from, to, there, bend}) => (
            <path
              key={`${from.path} ${to.path}`}
              className={there ? 'wanted' : 'wanted lacking'}
              d={curve(from, to, bend)}
            />
          ))}
          {drawing.apart !== null && (
            <>
              <line className="apart-line" x1={24} x2={drawing.width - 24} y1={drawing.apart} y2={drawing.apart} />
            </>
          )}
          {drawing.lines.map(line => (
            <Edge
              key={`${line.link.from} ${line.link.to} ${line.broken}`}
              line={line}
              here={line.from.path === leaf || line.to.path === leaf}
              finding={findingOf(line.link, findings)}
              walked={
                [line.link, line.back].filter(link => link !== null && walked.has(way(link.from, link.to))).length
              }
              onLink={onLink}
            />
          ))}
          {drawing.apart !== null && (
            <text className="apart" x={24} y={drawing.apart + 18}>
              No way from the home page leads here
            </text>
          )}
          {drawing.slips.map(slip =>
            slip.page === null ? (
              <Ghost
                key={slip.path}
                slip={slip}
                verdict={survey.links.find(link => link.to === slip.path)?.verdict ?? ''}
              />
            ) : (
              <PageSlip
                key={slip.path}
                slip={slip}
                here={slip.path === leaf}
                home={slip.path === 'index.html'}
                onPage={onPage}
              />
            ),
          )}
        </Box>
      )}
      <Typography variant="body2" color="textSecondary" sx={{mt: 1}}>
        A head at each end: the pages link to each other. Dark red: a link with a problem; dashed, it is broken, and
        drawn to where it should lead. A bar below a page: it leads nowhere. A tick: you walked it in the page as seen.
        {survey.pattern !== null &&
          (survey.pattern.kind === 'menu'
            ? ' A dotted band: a link that should be there.'
            : ' A broad band: a link of the pattern; dotted where it is missing.')}
      </Typography>
    </Box>
  )
}

function Edge({
  line,
  here,
  finding,
  walked,
  onLink,
}: {
  line: Line
  here: boolean
  finding: Finding | null
  /** how many of its one or two links were walked */
  walked: number
  onLink: Props['onLink']
}) {
  const {from, to, link, back, broken, bend} = line
  const told = broken || finding !== null
  const kind = broken ? 'broken' : finding !== null ? 'wrong' : here ? 'here' : ''
  const path = curve(from, to, bend)
  const cut = half(from, to, bend)
  const words = `${link.from}, line ${link.line}: ${link.label === '' ? 'a link' : `“${link.label}”`} ${broken ? 'was to lead' : 'leads'} to ${link.to}${back === null ? '' : ', and back'}${finding === null ? '' : `. ${finding.message}`}${walked > 0 ? '. Walked' : ''}`
  const go = () => onLink(finding?.line == null ? link : {...link, line: finding.line}, finding)
  return (
    <g
      {...(told
        ? {
            role: 'button',
            tabIndex: 0,
            'aria-label': words,
            onKeyDown: (event: React.KeyboardEvent) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault()
                go()
              }
            },
          }
        : {'aria-hidden': true})}
      onClick={go}
    >
      <title>{words}</title>
      <path
        className={`line ${kind} ${link.place === 'menu' ? 'menu' : ''}`}
        d={path}
        markerEnd={`url(#head-${kind})`}
        markerStart={back === null ? undefined : `url(#head-${kind})`}
      />
      {broken && (
        <path
          className="cut"
          d={`M${cut.x - 5} ${cut.y + 6} L${cut.x + 1} ${cut.y - 6} M${cut.x} ${cut.y + 6} L${cut.x + 6} ${cut.y - 6}`}
        />
      )}
      {walked > 0 && !broken && <path className="tick" d={`M${cut.x - 5} ${cut.y} l4 5 l7 -11`} />}
      <path className="reach" d={path} />
    </g>
  )
}

function PageSlip({
  slip,
  here,
  home,
  onPage,
}: {
  slip: Slip
  here: boolean
  home: boolean
  onPage: (path: string) => void
}) {
  const {page} = slip
  if (page === null) return null
  const [left, top] = [slip.x - SLIP.width / 2, slip.y - SLIP.height / 2]
  const remarks = [
    page.distance === null ? 'no way from home' : `${page.distance} from home`,
    page.deadEnd ? 'leads nowhere' : null,
    page.wayHome ? null : 'no way home',
  ].filter(word => word !== null)
  return (
    <g
      className="page"
      role="button"
      tabIndex={0}
      aria-label={`${slip.path}, ${page.title === '' ? 'no title' : page.title}, ${remarks.join(', ')}`}
      aria-current={here ? 'page' : undefined}
      onClick={() => onPage(slip.path)}
      onKeyDown={event => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault()
          onPage(slip.path)
        }
      }}
    >
      <title>{`${slip.path}\n${page.title}\n${remarks.join(', ')}`}</title>
      <path
        className={`slip ${here ? 'here' : ''} ${page.distance === null ? 'lost' : ''}`}
        d={`M${left} ${top} H${left + SLIP.width - 9} L${left + SLIP.width} ${top + 9} V${top + SLIP.height} H${left} Z`}
      />
      {home && <path className="rule" d={`M${left} ${top + SLIP.height + 3} H${left + SLIP.width}`} />}
      {page.deadEnd && (
        <path className="stop" d={`M${left + 30} ${top + SLIP.height + 5} H${left + SLIP.width - 30}`} />
      )}
      <text className="name" x={left + 9} y={top + 19}>
        {fit(slip.path.split('/').pop() ?? '', 18)}
      </text>
      <text className="said" x={left + 9} y={top + 35}>
        {page.title === '' ? 'no title' : fit(ownWords(page.title), 22)}
      </text>
    </g>
  )
}

const GHOSTS: Record<string, string> = {
  placeholder: 'never filled in',
  'missing-scheme': 'no https:// before it',
  'bad-scheme': 'a wrong scheme',
  'folder-without-index': 'no index.html in it',
}

function Ghost({slip, verdict}: {slip: Slip; verdict: string}) {
  const remark = GHOSTS[verdict] ?? 'not in the hand-in'
  const [left, top] = [slip.x - SLIP.width / 2, slip.y - SLIP.height / 2]
  return (
    <g>
      <title>{`${slip.path}: ${remark}`}</title>
      <rect className="slip ghost" x={left} y={top} width={SLIP.width} height={SLIP.height} />
      <text className="ghost-name" x={left + 9} y={top + 19}>
        {fit(slip.path.split('/').pop() ?? '', 18)}
      </text>
      <text className="said" x={left + 9} y={top + 35}>
        {remark}
      </text>
    </g>
  )
}

const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** The part of a title behind the name of the site, where it has one. */
const ownWords = (title: string) => title.split(/ [-–—|:] /).pop() ?? title

const fit = (words: string, most: number) => (words.length <= most ? words : `${words.slice(0, most - 1)}…`)

/** Hands the drawing out as a file of its own: what the style sheet says is written into it. */
function save(picture: SVGSVGElement) {
  const copy = picture.cloneNode(true) as SVGSVGElement
  const [from, to] = [[...picture.querySelectorAll<SVGElement>('*')], [...copy.querySelectorAll<SVGElement>('*')]]
  from.forEach((element, index) => {
    const style = getComputedStyle(element)
    for (const name of [
      'fill',
      'stroke',
      'stroke-width',
      'stroke-dasharray',
      'stroke-opacity',
      'stroke-linecap',
      'font-size',
      'font-weight',
      'font-style',
    ]) {
      to[index]?.setAttribute(name, style.getPropertyValue(name))
    }
    to[index]?.removeAttribute('class')
    to[index]?.removeAttribute('tabindex')
  })
  copy.querySelectorAll('[stroke="rgba(0, 0, 0, 0)"]').forEach(element => element.remove())
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('font-family', getComputedStyle(picture).fontFamily)
  copy.removeAttribute('class')
  const address = URL.createObjectURL(new Blob([new XMLSerializer().serializeToString(copy)], {type: 'image/svg+xml'}))
  const link = document.createElement('a')
  link.href = address
  link.download = 'page-map.svg'
  link.click()
  URL.revokeObjectURL(address)
}
