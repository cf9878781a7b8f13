import {Box} from '@mui/material'
import type {Schemas} from '../lib/schemas'
import {mono} from './theme'

/** How what is meant is drawn: in pencil, in ink, or as rubbed out. */
const STROKES = {
  pencilled: {borderBottom: '1px solid', borderColor: 'desk.pencil', color: 'text.primary'},
  inked: {borderBottom: '2px solid', borderColor: 'desk.ink', color: 'desk.ink', fontWeight: 700},
  'rubbed-out': {borderBottom: '1px dotted', borderColor: 'desk.rule'},
} as const

/** Lines of a student's file, with a stroke under what is meant. */
export function Quoted({
  lines,
  state = 'inked',
  isNumbered = true,
}: {
  lines: Schemas['QuotedLine'][]
  isNumbered?: boolean
  state?: Schemas['SlipSpot']['state']
}) {
  if (lines.length === 0) return null
  return (
    <Box component="pre" dir="ltr" sx={LINES}>
      {lines.map(line => (
        <Box component="span" key={line.number} className={line.meant === '' ? 'line around' : 'line'}>
          {isNumbered && <span className="number">{line.number}</span>}
          <span>
            {line.before}
            {line.meant !== '' && (
              <Box component="mark" sx={{background: 'none', ...STROKES[state]}}>
                {line.meant}
              </Box>
            )}
            {line.after}
          </span>
        </Box>
      ))}
    </Box>
  )
}

const LINES = {
  fontFamily: mono,
  // As large as what is around it, in the wall's large type too.
  fontSize: 'max(12.5px, 0.8em)',
  lineHeight: 1.6,
  m: 0,
  '& .line': {display: 'grid', gridTemplateColumns: 'auto minmax(0, 1fr)', whiteSpace: 'pre-wrap'},
  '& .line > *': {overflowWrap: 'anywhere'},
  '& .around': {color: 'text.secondary'},
  '& .number': {color: 'text.secondary', userSelect: 'none', textAlign: 'right', pr: 1.5, minWidth: '3.2em'},
} as const
