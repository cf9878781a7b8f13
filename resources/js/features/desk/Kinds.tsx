import {Box, Link, Typography} from '@mui/material'
import {Coded} from '../../ui/Coded'
import {isOpen} from '../../lib/cost'
import {titleOf} from '../../lib/rules'
import {many} from '../../lib/when'
import {useDesk} from './deskState'
import {ALL} from './margin/filter'

/** What was found, by kind, with a way into each. */
export function Kinds() {
  const {desk, go, change} = useDesk()
  if (desk.kinds.length === 0) return null
  return (
    <Box component="section" aria-label="What was found, by kind" sx={{mt: 3}}>
      <Typography variant="h2" gutterBottom>
        What was found, by kind
      </Typography>
      {desk.kinds.map(kind => (
        <Box
          key={kind.rule}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1.6rem minmax(0, 11rem) minmax(0, 1fr) auto',
            gap: 1.5,
            py: 0.5,
            borderTop: 1,
            borderColor: 'desk.rule',
            alignItems: 'baseline',
            color: kind.pencilled > 0 ? 'text.primary' : 'text.secondary',
          }}
        >
          <Typography variant="body1" sx={{textAlign: 'right', fontWeight: kind.weight === 'fault' ? 700 : 400}}>
            {kind.findings}
          </Typography>
          <Typography variant="body2" noWrap>
            <Link
              component="button"
              variant="body2"
              title="Only these, from the first on"
              onClick={() => {
                change({change: 'filter', to: {...ALL, rule: kind.rule}})
                go({leaf: kind.leaf, view: 'source', line: kind.line, mark: kind.fingerprint})
              }}
            >
              {titleOf(kind.rule)}
            </Link>
          </Typography>
          <Typography variant="body2" noWrap title={kind.message}>
            <Coded>{kind.message}</Coded>
          </Typography>
          <Typography variant="body2" color="textSecondary" noWrap>
            {kind.weight}, {kind.pencilled === 0 ? 'all decided' : `${kind.pencilled} in pencil`}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

const ROW = {
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) 5rem 5.5rem',
  gap: 1.5,
  py: 0.4,
  borderTop: 1,
  borderColor: 'desk.rule',
  alignItems: 'baseline',
} as const

/** Each requirement with its outcome in a word and its points. */
export function Outcomes() {
  const {desk, change} = useDesk()
  if (desk.outcomes.length === 0) return null
  return (
    <Box component="section" aria-label="Requirements" sx={{mt: 3}}>
      <Typography variant="h2" gutterBottom>
        Requirements
      </Typography>
      {desk.outcomes.map(one => {
        const waits = isOpen(one)
        const word = one.leftOut ? 'left out' : waits ? 'to judge' : one.reason !== null ? 'judged' : one.outcome
        return (
          <Box key={one.requirement} sx={ROW}>
            <Link
              component="button"
              variant="body2"
              color="inherit"
              sx={{textAlign: 'left'}}
              onClick={() => change({change: 'show requirement', requirement: one.requirement})}
            >
              {one.title}
            </Link>
            <Typography
              variant="body2"
              sx={{
                color: word === 'to judge' ? 'desk.waits' : word === 'met' ? 'text.secondary' : 'text.primary',
                fontWeight: word === 'met' ? 400 : 700,
              }}
            >
              {word}
            </Typography>
            <Typography variant="body2" sx={{textAlign: 'right'}}>
              {one.leftOut ? '' : waits ? `? of ${one.possible}` : `${one.awarded} of ${one.possible}`}
            </Typography>
          </Box>
        )
      })}
      {/* With them, the points that are shown add up to the total. */}
      {desk.score.others.map(line => (
        <Box key={line.title} sx={{...ROW, color: 'text.secondary'}}>
          <Typography variant="body2">
            {line.title}, {line.how}
          </Typography>
          <span />
          <Typography variant="body2" sx={{textAlign: 'right'}}>
            {line.points}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

/** For how long it was read, in words. */
export const readFor = (seconds: number): string =>
  seconds < 60 ? 'less than a minute' : many(Math.round(seconds / 60), 'minute')
