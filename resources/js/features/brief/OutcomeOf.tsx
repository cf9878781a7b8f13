import {Box, Link, Typography} from '@mui/material'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {cost, together} from '../../lib/cost'

const COLOURS = {met: 'desk.merit', partly: 'desk.waits', unmet: 'desk.fault', 'not-judged': 'text.secondary'}

/** The site that a brief is tried on, and its assignment; `site` is null while none is chosen. */
export interface Tried {
  assignment: string
  site: string | null
}

/** The address of a place in a site that a brief is tried on. */
export function placeIn({assignment, site}: Tried, leaf: string, line: number | null): string {
  const address = new URLSearchParams({leaf})
  if (line !== null) address.set('line', String(line))
  const root =
    site?.startsWith('hand-in:') === true
      ? `/hand-ins/${site.slice('hand-in:'.length)}`
      : `/assignments/${assignment}/sites/${encodeURIComponent(site ?? '')}`
  return `${root}?${address.toString()}`
}

/** What a sentence comes to on the site that it is tried on, and where that falls short. */
export function OutcomeOf({reading, tried}: {reading: Schemas['RequirementReading']; tried: Tried}) {
  const {outcome, measured, awarded, points, shortfalls} = reading
  if (outcome === null) return null
  return (
    <>
      <Typography variant="body2" color="textSecondary">
        <Box component="span" sx={{color: COLOURS[outcome], fontWeight: 600}}>
          {outcome === 'not-judged' ? 'not judged yet' : outcome}
        </Box>
        : <Coded>{measured}</Coded>
        {outcome !== 'not-judged' && `, ${awarded} of ${points}`}
      </Typography>
      {together(shortfalls).map(({file, line, message, cost: points, follows}) => (
        <Typography key={`${file} ${line} ${message}`} variant="body2" sx={{pl: 2}}>
          <Link component={RouterLink} to={placeIn(tried, file, line)}>
            {file}
          </Link>
          {line !== null && `, line ${line}`}: <Coded>{message}</Coded>
          {points > 0 && ` (${cost(points)})`}
          {follows !== null && ' (costs points elsewhere)'}
        </Typography>
      ))}
    </>
  )
}
