import {Box, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useCallback, useEffect, useMemo, useReducer, useRef, useState} from 'react'
import {isText, source} from '../../../../api/sites'
import {Empty} from '../../../../ui/Remark'
import {useDesk} from '../../deskState'
import {useKeys} from '../../../../ui/keys'
import {isAll} from '../../margin/filter'
import {FilterBar} from '../../margin/FilterBar'
import {bringing} from '../../margin/level'
import {Margin} from '../../margin/Margin'
import {WHOLE} from '../../margin/marks'
import {Points} from '../../Points'
import {SideColumn} from '../../SideColumn'
import {Whole} from '../../Whole'
import {Paper, type PaperHandle} from './Paper'
import {folded, quietStretches, type Stretch} from './folds'
import {strokesOf, type Stroke} from './strokes'

/** The leaf as it was written, with the margin beside it. */
export function SourceView({marginWidth = '22rem'}: {marginWidth?: string}) {
  const {desk, leaf} = useDesk()
  const there = desk.leaves.find(one => one.path === leaf)
  if (isText(there)) return <SourceAndMargin key={leaf} marginWidth={marginWidth} />
  return (
    <Box
      sx={{
        height: '100%',
        display: 'grid',
        gridTemplateColumns: `minmax(0, 1fr) ${marginWidth}`,
        minHeight: 0,
        bgcolor: 'desk.sheet',
      }}
    >
      <Box sx={{p: 4, overflow: 'auto'}}>
        {leaf === WHOLE && <Whole desk={desk} />}
        {there?.missing === true && (
          <Empty>{leaf} is not in the hand-in. What was found about it is in the margin.</Empty>
        )}
        {there?.missing === false && (
          <Empty>
            {leaf}, a picture of {Math.ceil(there.bytes / 1000)} kB. Turn to a page and choose “As seen” to see it where
            it stands.
          </Empty>
        )}
        {there === undefined && leaf !== WHOLE && <Empty>There is no file {leaf} in this hand-in.</Empty>}
      </Box>
      <SideColumn />
    </Box>
  )
}

/** The source with the margin beside it, on one sheet that scrolls as one. */
function SourceAndMargin({marginWidth}: {marginWidth: string}) {
  const {desk, leaf, margin, mode, writeDraft, line, current, actions, keeping, write, go} = useDesk()
  const {items, shown, gathered} = margin
  const {filter, asksAlike} = mode
  const {data} = useSuspenseQuery(source({handIn: desk.id}, leaf))
  const scroller = useRef<HTMLDivElement>(null)
  const paper = useRef<PaperHandle>(null)
  const [, measured] = useReducer((times: number) => times + 1, 0)
  const heightOf = useCallback((at: number) => paper.current?.heightOf(at) ?? 0, [])
  const {text} = data
  const lines = useMemo(() => text.split('\n'), [text])
  const strokes = useMemo(() => strokesOf(shown, lines.length, at => lines[at - 1] ?? ''), [shown, lines])
  const {folds, open} = useFolds(lines.length, strokes, line)
  useEffect(() => {
    const box = scroller.current
    if (box === null || line === null || current !== null) return
    const top = heightOf(line)
    box.scrollTo({top: bringing(box.scrollTop, box.clientHeight, top, top + 20)})
  }, [line, current, heightOf])
  return (
    <Box
      sx={{
        height: '100%',
        display: 'grid',
        gridTemplateRows: 'auto minmax(0, 1fr)',
        minHeight: 0,
        bgcolor: 'desk.sheet',
      }}
    >
      <div>
        <Points />
        <FilterBar />
      </div>
      <Box
        ref={scroller}
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
        <Box sx={{display: 'grid', gridTemplateColumns: `minmax(0, 1fr) ${marginWidth}`, position: 'relative'}}>
          {data.readable ? (
            <Paper
              ref={paper}
              name={leaf}
              text={text}
              kind={data.kind}
              strokes={strokes}
              folds={folds}
              onUnfold={open}
              line={line}
              onLine={to => go({line: to, mark: null})}
              onWrite={(at, isUpTo) => {
                const draft = items.find(item => item.kind === 'draft')?.draft
                if (isUpTo && draft?.line != null && draft.id === null) {
                  const [first, last] = [Math.min(draft.line, at), Math.max(draft.line, draft.endLine ?? 0, at)]
                  writeDraft({...draft, line: first, endLine: last > first ? last : null})
                  return
                }
                go({line: at})
                write(at)
              }}
              onHeights={measured}
            />
          ) : (
            <span />
          )}
          <Box sx={{borderLeft: 1, borderColor: 'desk.rule'}}>
            <Margin
              gathered={gathered}
              current={current}
              asksAlike={asksAlike}
              isFiltered={!isAll(filter)}
              actions={actions}
              keeping={keeping}
              scroller={scroller}
              {...(data.readable ? {heightOf} : {})}
            />
          </Box>
        </Box>
      </Box>
    </Box>
  )
}

const FOLDS = 'quiet lines are shown'

/**
 * Which quiet lines are folded: all long stretches of them, but for those that were opened, and unless none should be.
 */
function useFolds(lineCount: number, strokes: Stroke[], line: number | null) {
  const [isOff, setOff] = useState(() => localStorage.getItem(FOLDS) !== null)
  const [opened, setOpened] = useState<ReadonlySet<number>>(new Set())
  const stretches = useMemo(
    () =>
      quietStretches(
        lineCount,
        strokes.map(one => one.line),
      ),
    [lineCount, strokes],
  )
  useKeys([
    {
      key: 'f',
      does: isOff ? 'fold quiet lines' : 'show quiet lines',
      run: () => {
        if (isOff) localStorage.removeItem(FOLDS)
        else localStorage.setItem(FOLDS, 'yes')
        setOff(!isOff)
        setOpened(new Set())
      },
    },
  ])
  const folds = useMemo(() => (isOff ? NO_FOLDS : folded(stretches, opened, line)), [isOff, stretches, opened, line])
  const open = useCallback((from: number) => setOpened(old => new Set([...old, from])), [])
  return {folds, open}
}

const NO_FOLDS: Stretch[] = []
