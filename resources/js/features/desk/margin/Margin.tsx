import {Box, Typography} from '@mui/material'
import {useEffect, useMemo, useRef, useState, type RefObject} from 'react'
import {between, bringing, level} from './level'
import type {Gathered} from './gather'
import {DRAFT, type MarginItem} from './marks'
import type {MarginActions} from './actions'
import {Sidenote} from './Sidenote'
import {Writing} from './Writing'

interface Props {
  gathered: Gathered[]
  current: string | null
  /** of the finding of which all that are like it are asked about */
  asksAlike: string | null
  /** whether there is more than is shown */
  isFiltered: boolean
  actions: MarginActions
  keeping: boolean
  /** what scrolls the margin */
  scroller: RefObject<HTMLElement | null>
  /** the height of a line in the scroller; where there are no lines beside it, notes stand one below the other */
  heightOf?: (line: number) => number
}

/** Notes above and below what is seen that are drawn too, in pixels. */
const AHEAD = 800

/** For so long after a mark was chosen, it is kept in view while what is around it gets its true height. */
const SETTLES = 400

/** Notes and findings set straight onto the paper, level with their lines. Only those near what is seen are drawn. */
export function Margin({gathered, current, asksAlike, isFiltered, actions, keeping, scroller, heightOf}: Props) {
  const paper = useRef<HTMLDivElement>(null)
  const {heights, watch} = useHeights()
  const seen = useSeen(scroller, paper)
  const items = gathered.map(({item}) => item)
  const slots = items.map(item => ({
    key: item.key,
    wanted: item.line === null || heightOf === undefined ? 0 : heightOf(item.line),
    height: heights.get(item.key) ?? likelyHeight(item),
  }))
  const chosen = items.some(item => item.kind === 'draft') ? DRAFT : current
  const at = items.findIndex(item => item.key === chosen)
  const levels = level(slots, at === -1 || heightOf === undefined ? null : at)
  const [first, beyond] = between(slots, levels, seen.from - AHEAD, seen.to + AHEAD)
  useBringing(
    scroller,
    paper,
    chosen,
    at === -1
      ? null
      : {
          from: levels.tops[at] ?? 0,
          to: (levels.tops[at] ?? 0) + (slots[at]?.height ?? 0),
        },
  )
  return (
    <Box ref={paper} component="section" aria-label="Margin" sx={{position: 'relative', minHeight: levels.end, px: 2}}>
      {items.length === 0 && (
        <Typography variant="body2" color="textSecondary" sx={{pt: 1.5}}>
          {isFiltered ? 'None of these is on this leaf.' : 'There is nothing in the margin of this page.'}
        </Typography>
      )}
      {gathered.map(({item, ...others}, index) =>
        (index >= first && index < beyond) || item.kind === 'draft' ? (
          <div
            key={item.key}
            ref={watch}
            data-item={item.key}
            data-line={item.line ?? undefined}
            style={{position: 'absolute', left: 16, right: 16, top: levels.tops[index]}}
          >
            {item.kind === 'draft' ? (
              <Writing draft={item.draft} actions={actions} keeping={keeping} />
            ) : (
              <Sidenote
                gathered={{item, ...others}}
                current={current === item.key}
                asksAlike={asksAlike === item.key}
                actions={actions}
              />
            )}
          </div>
        ) : null,
      )}
    </Box>
  )
}

/** How high a note will be, before it is drawn. */
function likelyHeight(item: MarginItem): number {
  const words =
    item.kind === 'finding'
      ? item.finding.message.length + item.finding.remedy.length + 40
      : item.kind === 'note'
        ? item.note.body.length
        : 240
  return 24 + 20 * Math.ceil(words / 44)
}

/** The true heights of what is drawn, by key: measured when they change, and never asked for while drawing. */
function useHeights() {
  const [heights, setHeights] = useState<ReadonlyMap<string, number>>(new Map())
  const observer = useMemo(
    () =>
      new ResizeObserver(entries => {
        setHeights(old => {
          const changed = entries
            .map(
              ({target, borderBoxSize}) =>
                [
                  target instanceof HTMLElement ? (target.dataset.item ?? '') : '',
                  borderBoxSize[0]?.blockSize ?? 0,
                ] as const,
            )
            .filter(([key, height]) => height > 0 && Math.abs((old.get(key) ?? 0) - height) > 0.5)
          return changed.length === 0 ? old : new Map([...old, ...changed])
        })
      }),
    [],
  )
  useEffect(() => () => observer.disconnect(), [observer])
  const watch = useMemo(
    () => (drawn: HTMLElement | null) => {
      if (drawn === null) return
      observer.observe(drawn)
      return () => observer.unobserve(drawn)
    },
    [observer],
  )
  return {heights, watch}
}

/**
 * What part of the paper the scroller shows; told anew only when it has moved by a good part of what is drawn ahead.
 */
function useSeen(scroller: RefObject<HTMLElement | null>, paper: RefObject<HTMLElement | null>) {
  const [seen, setSeen] = useState({from: 0, to: 1200})
  // After layout: the scroller is around the margin, and is there only when the whole tree is.
  useEffect(() => {
    const box = scroller.current
    if (box === null) return
    const look = () => {
      const from = box.scrollTop - offsetIn(box, paper.current)
      const to = from + box.clientHeight
      setSeen(old => (Math.abs(old.from - from) + Math.abs(old.to - to) < AHEAD / 2 ? old : {from, to}))
    }
    look()
    box.addEventListener('scroll', look, {passive: true})
    const watch = new ResizeObserver(look)
    watch.observe(box)
    return () => {
      box.removeEventListener('scroll', look)
      watch.disconnect()
    }
  }, [scroller, paper])
  return seen
}

/** How far below the top of what a box scrolls something begins. */
function offsetIn(box: HTMLElement, paper: HTMLElement | null): number {
  return paper === null ? 0 : paper.getBoundingClientRect().top - box.getBoundingClientRect().top + box.scrollTop
}

/** Brings what was chosen into view, its line and its note, and keeps it there until everything has its true height. */
function useBringing(
  scroller: RefObject<HTMLElement | null>,
  paper: RefObject<HTMLElement | null>,
  chosen: string | null,
  place: {from: number; to: number} | null,
) {
  const since = useRef({key: null as string | null, at: 0})
  const {from, to} = place ?? {from: null, to: null}
  useEffect(() => {
    const now = performance.now()
    if (since.current.key !== chosen) since.current = {key: chosen, at: now}
    const box = scroller.current
    if (box === null || from === null || now - since.current.at > SETTLES) return
    const above = offsetIn(box, paper.current)
    box.scrollTo({top: bringing(box.scrollTop, box.clientHeight, above + from, above + to)})
  }, [scroller, paper, chosen, from, to])
}
