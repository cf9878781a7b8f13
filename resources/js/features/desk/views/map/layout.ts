import type {Finding} from '../../margin/marks'
import type {Schemas} from '../../../../lib/schemas'

export type Survey = Schemas['SurveyView']
export type SurveyPage = Schemas['SurveyPage']
export type SurveyLink = Schemas['SurveyLink']

export const SLIP = {width: 132, height: 46}
const GAP = {across: 22, down: 84}
const EDGE = 24

export interface Point {
  x: number
  y: number
}

/** A page on the map, or a file that a link names and that is not there; placed by its centre. */
export interface Slip extends Point {
  path: string
  page: SurveyPage | null
}

/** What joins two slips: one line, with a head at each end that a link leads to. */
export interface Line {
  from: Slip
  to: Slip
  link: SurveyLink
  /** the link the other way, when there is one */
  back: SurveyLink | null
  broken: boolean
  bend: Point
}

export interface Drawing {
  slips: Slip[]
  lines: Line[]
  /** links that the pattern asks for, there or not */
  wanted: {from: Slip; to: Slip; there: boolean; bend: Point}[]
  /** where the pages begin that nobody gets to; null when there are none */
  apart: number | null
  width: number
  height: number
}

/**
 * Places every page: a ring as a ring, a chain as a line that turns, everything else in layers by the distance from
 * home.
 */
export function draw(survey: Survey, width: number): Drawing {
  const order = survey.pattern?.order.filter(path => survey.pages.some(page => page.path === path)) ?? []
  const inOrder = new Set(order)
  const drawn =
    survey.pattern?.kind === 'ring' && order.length > 2
      ? 'ring'
      : survey.pattern?.kind === 'chain' && order.length > 2
        ? 'chain'
        : 'layers'
  const places = new Map<string, Point>()
  let bottom = EDGE
  if (drawn === 'ring') bottom = ring(order, width, places)
  if (drawn === 'chain') bottom = chain(order, width, places)
  const rest = survey.pages.filter(page => drawn === 'layers' || !inOrder.has(page.path))
  bottom = layers(
    rest.filter(page => page.distance !== null),
    survey.links,
    width,
    bottom,
    places,
  )
  const missing = ghosts(survey)
  bottom = rows(missing, width, bottom, places)
  const lost = rest.filter(page => page.distance === null).map(page => page.path)
  const apart = lost.length === 0 ? null : bottom + 10
  if (apart !== null) bottom = rows(lost, width, apart + 30, places)

  const byPath = new Map<string, Slip>()
  for (const [path, place] of places)
    byPath.set(path, {path, ...place, page: survey.pages.find(page => page.path === path) ?? null})
  const bendOf = (from: Slip, to: Slip) => (drawn === 'ring' ? middle(from, to) : bend(from, to))
  const drawnLines = lines(survey, byPath, bendOf)
  return {
    slips: [...byPath.values()],
    lines: drawnLines,
    wanted: (survey.pattern?.expected ?? []).flatMap(({from, to, there}) => {
      // Of a menu every line there can be is asked for: only what lacks is drawn.
      if (there && survey.pattern?.kind === 'menu') return []
      const [start, end] = [byPath.get(from), byPath.get(to)]
      return start === undefined || end === undefined ? [] : [{from: start, to: end, there, bend: bendOf(start, end)}]
    }),
    apart,
    width,
    height: Math.max(
      ...[...byPath.values()].map(slip => slip.y + SLIP.height / 2 + 14),
      ...drawnLines.map(line => (line.from.y + line.bend.y) / 2 + 20),
      EDGE,
    ),
  }
}

/**
 * Files that links name and that are not there: unless a page of the site is meant, which the broken line then leads
 * to.
 */
function ghosts(survey: Survey): string[] {
  const known = new Set(survey.all)
  return [...new Set(survey.links.filter(link => !known.has(link.to) && isBroken(link)).map(link => link.to))]
}

export const isBroken = (link: SurveyLink) => !['found', 'missing-fragment', 'bad-address'].includes(link.verdict)

function ring(order: string[], width: number, places: Map<string, Point>): number {
  const across = Math.min((width - SLIP.width) / 2 - EDGE, 60 * order.length)
  const down = Math.max(120, Math.min(across * 0.62, 44 * order.length))
  order.forEach((path, index) => {
    const angle = (index / order.length) * 2 * Math.PI - Math.PI / 2
    places.set(path, {
      x: width / 2 + across * Math.cos(angle),
      y: EDGE + SLIP.height / 2 + down + down * Math.sin(angle),
    })
  })
  return EDGE + SLIP.height + 2 * down + 30
}

function chain(order: string[], width: number, places: Map<string, Point>): number {
  const perRow = fitting(width, 46)
  order.forEach((path, index) => {
    const row = Math.floor(index / perRow)
    const column = row % 2 === 0 ? index % perRow : perRow - 1 - (index % perRow)
    places.set(path, {x: spread(column, perRow, width), y: EDGE + SLIP.height / 2 + row * (SLIP.height + GAP.down)})
  })
  return EDGE + Math.ceil(order.length / perRow) * (SLIP.height + GAP.down)
}

/** Rows by the distance from home; in a row each page stands near those that lead to it. */
function layers(
  pages: SurveyPage[],
  links: SurveyLink[],
  width: number,
  top: number,
  places: Map<string, Point>,
): number {
  const distances = [...new Set(pages.map(page => page.distance ?? 0))].sort((a, b) => a - b)
  let bottom = top
  for (const distance of distances) {
    const layer = pages.filter(page => page.distance === distance).map(page => page.path)
    const pull = new Map(
      layer.map((path, index) => {
        const parents = links
          .filter(link => link.to === path && places.has(link.from))
          .map(link => places.get(link.from)?.x ?? 0)
        return [
          path,
          parents.length === 0 ? index : parents.reduce((sum, x) => sum + x, 0) / parents.length + index / 1000,
        ]
      }),
    )
    layer.sort((a, b) => (pull.get(a) ?? 0) - (pull.get(b) ?? 0))
    // Pages of one layer often link to each other in arcs below them: room for these.
    const among = links.filter(link => layer.includes(link.from) && layer.includes(link.to)).length > 0
    bottom = rows(layer, width, bottom, places) + (among ? Math.min(90, 14 * layer.length) : 0)
  }
  return bottom
}

function rows(paths: string[], width: number, top: number, places: Map<string, Point>): number {
  const perRow = fitting(width, GAP.across)
  for (let start = 0; start < paths.length; start += perRow) {
    const row = paths.slice(start, start + perRow)
    row.forEach((path, index) =>
      places.set(path, {
        x: spread(index, row.length, width),
        y: top + SLIP.height / 2 + (start / perRow) * (SLIP.height + GAP.down * 0.7),
      }),
    )
  }
  return paths.length === 0
    ? top
    : top + Math.ceil(paths.length / perRow) * (SLIP.height + GAP.down * 0.7) + GAP.down * 0.3
}

const fitting = (width: number, gap: number) => Math.max(2, Math.floor((width - 2 * EDGE + gap) / (SLIP.width + gap)))

const spread = (index: number, of: number, width: number) =>
  of === 1 ? width / 2 : EDGE + SLIP.width / 2 + (index * (width - 2 * EDGE - SLIP.width)) / (of - 1)

function lines(survey: Survey, slips: Map<string, Slip>, bendOf: (from: Slip, to: Slip) => Point): Line[] {
  const drawn = new Map<string, Line>()
  for (const link of survey.links) {
    const [from, to] = [slips.get(link.from), slips.get(link.to)]
    if (from === undefined || to === undefined) continue
    const broken = isBroken(link)
    const other = drawn.get(`${link.to}\n${link.from}\n${broken}`)
    if (other !== undefined && !broken) {
      other.back = link
    } else {
      drawn.set(`${link.from}\n${link.to}\n${broken}`, {
        from,
        to,
        link,
        back: null,
        broken,
        bend: broken ? aside(from, to, bendOf(from, to)) : bendOf(from, to),
      })
    }
  }
  // What breaks is drawn last, on top.
  return [...drawn.values()].sort((a, b) => Number(a.broken) - Number(b.broken))
}

const middle = (from: Point, to: Point): Point => ({x: (from.x + to.x) / 2, y: (from.y + to.y) / 2})

/** A broken link stands beside the line of those that are not. */
function aside(from: Point, to: Point, bent: Point): Point {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  return {x: bent.x - ((to.y - from.y) / length) * 26, y: bent.y + ((to.x - from.x) / length) * 26}
}

/** The point that a line bends towards: below the row for two slips of one row, to the side past slips in between. */
function bend(from: Point, to: Point): Point {
  const half = middle(from, to)
  const away = Math.abs(from.x - to.x)
  if (Math.abs(from.y - to.y) < 4)
    return away < SLIP.width * 1.4 ? half : {x: half.x, y: half.y + 26 + Math.min(120, away * 0.22)}
  if (away < SLIP.width / 2 && Math.abs(from.y - to.y) > 2 * (SLIP.height + GAP.down))
    return {x: half.x + SLIP.width * 0.8, y: half.y}
  return half
}

/** Where a line towards a point leaves the border of a slip, with a little air. */
export function leave(slip: Point, towards: Point): Point {
  const [dx, dy] = [towards.x - slip.x, towards.y - slip.y]
  const scale = Math.min(
    (SLIP.width / 2 + 4) / Math.max(Math.abs(dx), 0.001),
    (SLIP.height / 2 + 4) / Math.max(Math.abs(dy), 0.001),
  )
  return {x: slip.x + dx * Math.min(scale, 1), y: slip.y + dy * Math.min(scale, 1)}
}

export function curve(from: Point, to: Point, bent: Point): string {
  const [start, end] = [leave(from, bent), leave(to, bent)]
  return `M${round(start.x)} ${round(start.y)} Q${round(bent.x)} ${round(bent.y)} ${round(end.x)} ${round(end.y)}`
}

/** The point half way along a curve. */
export function half(from: Point, to: Point, bent: Point): Point {
  const [start, end] = [leave(from, bent), leave(to, bent)]
  return {x: start.x / 4 + bent.x / 2 + end.x / 4, y: start.y / 4 + bent.y / 2 + end.y / 4}
}

const round = (number: number) => Math.round(number * 10) / 10

/** The finding that tells of a link, or of another from the same page to the same, by the place where it stands. */
export const findingOf = (link: SurveyLink, findings: Finding[]) =>
  findings.find(
    one =>
      one.file === link.from &&
      one.weight !== 'tidy' &&
      [link, ...link.also].some(place => one.line === place.line && one.column === place.column),
  ) ?? null
