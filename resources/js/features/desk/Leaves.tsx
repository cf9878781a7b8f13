import {Box, Link, Typography} from '@mui/material'
import {Fragment, memo, useMemo} from 'react'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {WHOLE} from './margin/marks'

const HEADINGS: Record<string, string> = {
  page: 'Pages',
  stylesheet: 'Stylesheets',
  picture: 'Pictures',
  script: 'Scripts',
  other: 'Other files',
}

/** The list of files, each with its tally of pencil and ink; files that should be there stand among them. */
export function Leaves({
  desk,
  whole,
  leaf,
  to,
  onTurn,
}: {
  desk: Tallied
  /** what the site as a whole is called */
  whole: string
  leaf: string
  to: (leaf: string) => string
  onTurn: (leaf: string) => void
}) {
  const kinds = [...new Set(desk.leaves.map(one => one.kind))]
  const tallies = useMemo(() => talliesOf(desk), [desk])
  return (
    <Box
      component="nav"
      aria-label="Leaves"
      sx={{width: 208, flexShrink: 0, overflow: 'auto', borderRight: 1, borderColor: 'divider', px: 2, py: 1.5}}
    >
      <LeafLink
        {...(tallies.get(WHOLE) ?? NOTHING)}
        path={WHOLE}
        name={whole}
        current={leaf === WHOLE}
        to={to(WHOLE)}
        onTurn={onTurn}
      />
      {kinds.map(kind => (
        <Fragment key={kind}>
          <Typography
            variant="body2"
            component="h2"
            color="textSecondary"
            sx={{mt: 1.5, mb: 0.25, fontVariant: 'small-caps'}}
          >
            {HEADINGS[kind] ?? kind}
          </Typography>
          {desk.leaves
            .filter(one => one.kind === kind)
            .map(one => (
              <LeafLink
                key={one.path}
                {...(tallies.get(one.path) ?? NOTHING)}
                path={one.path}
                name={one.path}
                missing={one.missing}
                current={leaf === one.path}
                to={to(one.path)}
                onTurn={onTurn}
              />
            ))}
        </Fragment>
      ))}
    </Box>
  )
}

/** Files, and what is in pencil and in ink on each. */
type Tallied = Pick<Schemas['Desk'], 'leaves' | 'tallies' | 'notes'>

interface Tally {
  pencilled: number
  inked: number
}

const NOTHING: Tally = {pencilled: 0, inked: 0}

/** What is in pencil and in ink on each leaf, notes among the ink. */
function talliesOf({tallies: decided, notes}: Tallied): Map<string, Tally> {
  const tallies = new Map(decided.map(({leaf, pencilled, inked}) => [leaf, {pencilled, inked}]))
  for (const {file} of notes) {
    const {pencilled, inked} = tallies.get(file ?? WHOLE) ?? NOTHING
    tallies.set(file ?? WHOLE, {pencilled, inked: inked + 1})
  }
  return tallies
}

/** Drawn anew only when it is another one: what is decided on one leaf leaves the others as they are. */
const LeafLink = memo(function LeafLink({
  pencilled,
  inked,
  path,
  name,
  current,
  missing = false,
  to,
  onTurn,
}: Tally & {
  path: string
  name: string
  current: boolean
  missing?: boolean
  to: string
  onTurn: (leaf: string) => void
}) {
  const counts = [pencilled > 0 ? `${pencilled} in pencil` : null, inked > 0 ? `${inked} in ink` : null]
    .filter(word => word !== null)
    .join(', ')
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'baseline',
        gap: 0.75,
        borderLeft: 3,
        borderColor: current ? 'desk.ink' : 'transparent',
        pl: 1,
        ml: -1.25,
        py: 0.2,
      }}
    >
      <Typography variant="body2" sx={{flex: 1, minWidth: 0, overflowWrap: 'anywhere'}}>
        <Link
          component={RouterLink}
          to={to}
          onClick={event => {
            // A click turns the leaf at once; with a modifier it is the browser's, as for any link.
            if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return
            event.preventDefault()
            onTurn(path)
          }}
          aria-current={current ? 'page' : undefined}
          color={missing ? 'error' : 'inherit'}
          sx={current ? {fontWeight: 700} : {}}
        >
          {name}
        </Link>
        {missing && (
          <Box component="span" sx={{color: 'desk.fault'}}>
            {' '}
            missing
          </Box>
        )}
      </Typography>
      <Typography variant="body2" component="span" title={counts} sx={{whiteSpace: 'nowrap'}}>
        {pencilled > 0 && (
          <Box component="span" sx={{color: 'desk.pencil'}}>
            {pencilled}
          </Box>
        )}
        {inked > 0 && (
          <Box component="span" sx={{color: 'desk.ink', fontWeight: 800, ml: 0.75}}>
            {inked}
          </Box>
        )}
        <span className="unseen">{counts}</span>
      </Typography>
    </Box>
  )
})
