import {Box} from '@mui/material'
import {Fragment, memo, useMemo, type Ref} from 'react'
import {mono} from '../../theme/theme'
import {lines, offsetOf, type Line, type Run} from './colouring'
import type {MarginItem} from './marks'

interface Stroke {
  numeral: number | null
  state: string
  from: number
  to: number
}

const NONE: Stroke[] = []

/** Numbered source with a pen stroke along the lines a mark covers. */
export function Source({
  text,
  kind,
  items,
  line,
  onLine,
  ref,
}: {
  text: string
  kind: string
  items: MarginItem[]
  line: number | null
  onLine: (line: number) => void
  ref: Ref<HTMLOListElement>
}) {
  const all = useMemo(() => lines(text, kind), [text, kind])
  const strokes = useMemo(() => strokesOf(items, all), [items, all])
  return (
    <Box
      component="ol"
      ref={ref}
      aria-label="Source"
      sx={{listStyle: 'none', m: 0, p: 0, py: 1.5, fontFamily: mono, fontSize: 12.5, lineHeight: 1.65, minWidth: 0}}
    >
      {all.map((one, index) => (
        <SourceLine
          key={index}
          number={index + 1}
          line={one}
          strokes={strokes.get(index + 1) ?? NONE}
          current={line === index + 1}
          onLine={onLine}
        />
      ))}
    </Box>
  )
}

function strokesOf(items: MarginItem[], all: Line[]): Map<number, Stroke[]> {
  const strokes = new Map<number, Stroke[]>()
  for (const item of items) {
    if (item.line === null) continue
    const end = item.kind === 'finding' ? (item.finding.endLine ?? item.line) : item.line
    for (let number = item.line; number <= Math.min(end, item.line + 400); number++) {
      const text = all[number - 1]?.text ?? ''
      const stroke =
        item.kind === 'finding'
          ? {
              numeral: number === item.line ? item.numeral : null,
              state: item.finding.state,
              from: number === item.line ? offsetOf(item.finding.column, text) : text.length - text.trimStart().length,
              to: number === end ? offsetOf(item.finding.endColumn, text) : text.length,
            }
          : {numeral: item.numeral, state: 'inked', from: 0, to: 0}
      strokes.set(number, [...(strokes.get(number) ?? []), stroke])
    }
  }
  return strokes
}

const SourceLine = memo(function SourceLine({number, line, strokes, current, onLine}: LineProps) {
  const inked = strokes.some(stroke => stroke.state === 'inked')
  const pencilled = strokes.some(stroke => stroke.state === 'pencilled')
  return (
    <Box component="li" data-line={number} sx={{display: 'flex', bgcolor: current ? 'action.hover' : undefined}}>
      <Box
        component="button"
        type="button"
        tabIndex={-1}
        aria-label={`Write a note at line ${number}`}
        onClick={() => onLine(number)}
        sx={{
          all: 'unset',
          cursor: 'pointer',
          width: '3.4em',
          flexShrink: 0,
          display: 'flex',
          alignItems: 'flex-start',
          justifyContent: 'flex-end',
          pr: 1.25,
          mr: inked ? 1.25 : 1.5,
          color: 'text.secondary',
          userSelect: 'none',
          borderRight: inked ? 3 : 1,
          borderColor: inked ? 'desk.ink' : pencilled ? 'desk.pencil' : 'desk.rule',
          '&:hover': {color: 'desk.ink'},
        }}
      >
        {number}
      </Box>
      <Box
        component="code"
        sx={{fontFamily: 'inherit', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', minWidth: 0, pr: 1}}
      >
        {pieces(line, strokes).map(({text, tone, state}, index) => (
          <Piece key={index} text={text} tone={tone} state={state} />
        ))}
        {strokes
          .filter(stroke => stroke.numeral !== null)
          .map(stroke => (
            <Box
              component="sup"
              key={stroke.numeral}
              sx={{
                fontFamily: 'fontFamily',
                fontWeight: stroke.state === 'inked' ? 800 : 400,
                ml: '3px',
                fontSize: '0.8em',
                lineHeight: 0,
                color: stroke.state === 'inked' ? 'desk.ink' : 'desk.pencil',
              }}
            >
              {stroke.numeral}
            </Box>
          ))}
        {'\n'}
      </Box>
    </Box>
  )
}, isSameLine)

interface LineProps {
  number: number
  line: Line
  strokes: Stroke[]
  current: boolean
  onLine: (line: number) => void
}

/** Strokes are made anew with every verdict; a line is drawn anew only where one of its own is another. */
function isSameLine(before: LineProps, after: LineProps): boolean {
  return (
    before.line === after.line &&
    before.current === after.current &&
    before.onLine === after.onLine &&
    before.strokes.length === after.strokes.length &&
    before.strokes.every((stroke, index) => isSameStroke(stroke, after.strokes[index]))
  )
}

const isSameStroke = (one: Stroke, other: Stroke | undefined) =>
  one.numeral === other?.numeral && one.state === other.state && one.from === other.from && one.to === other.to

interface LinePiece {
  text: string
  tone: Run['tone'] | null
  state: string | null
}

/** The line cut wherever its tone or a mark changes. */
function pieces(line: Line, strokes: Stroke[]): LinePiece[] {
  const cuts = new Set([0, line.text.length])
  for (const {from, to} of [...line.runs, ...strokes])
    cuts.add(Math.min(from, line.text.length)).add(Math.min(to, line.text.length))
  const at = [...cuts].sort((a, b) => a - b)
  return at.slice(0, -1).map((from, index) => {
    const to = at[index + 1] ?? from
    const within = (one: {from: number; to: number}) => one.from <= from && to <= one.to
    const marked = strokes.filter(within)
    return {
      text: line.text.slice(from, to),
      tone: line.runs.find(within)?.tone ?? null,
      state: (marked.find(stroke => stroke.state === 'inked') ?? marked[0])?.state ?? null,
    }
  })
}

const TONES = {
  tag: {color: 'desk.tag', fontWeight: 400},
  string: {color: 'desk.string'},
  comment: {color: 'text.secondary', fontStyle: 'italic'},
}

const STATES: Record<string, object> = {
  pencilled: {borderBottom: '1px solid', borderColor: 'desk.pencil'},
  inked: {borderBottom: '2px solid', borderColor: 'desk.ink'},
}

function Piece({text, tone, state}: LinePiece) {
  if (tone === null && state === null) return <Fragment>{text}</Fragment>
  return (
    <Box component="span" sx={{...(tone === null ? {} : TONES[tone]), ...(state === null ? {} : STATES[state])}}>
      {text}
    </Box>
  )
}
