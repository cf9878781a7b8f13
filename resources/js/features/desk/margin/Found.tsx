import {Box, Link, TextField, Typography} from '@mui/material'
import {useState} from 'react'
import {Link as RouterLink} from 'react-router'
import {Coded} from '../../../ui/Coded'
import {CostTag} from '../../../ui/CostTag'
import {ProofMark} from '../../../ui/ProofMark'
import {titleOf} from '../../../lib/rules'
import {useDesk} from '../deskState'
import {AllAlike} from './AllAlike'
import {Kept} from './Kept'
import type {Finding} from './marks'
import type {MarginActions} from './actions'

/** What the machine found: in pencil, in ink, or rubbed out. */
export function Found({
  finding,
  current,
  asksAlike,
  actions,
}: {
  finding: Finding
  current: boolean
  asksAlike: boolean
  actions: MarginActions
}) {
  const inked = finding.state === 'inked'
  if (finding.state === 'rubbed-out') return <RubbedOut finding={finding} actions={actions} />
  return (
    <Box sx={{color: inked ? 'desk.ink' : 'desk.pencil'}}>
      <Box sx={{display: 'flex', gap: 1, alignItems: 'center'}}>
        <ProofMark mark={finding.mark} weight={inked ? 'fault' : finding.weight} />
        <Typography variant="body2" sx={{flex: 1, fontWeight: inked ? 700 : 400}}>
          {finding.weight}
          <CostTag points={finding.cost} ml={1} />
        </Typography>
        <Link
          component="button"
          variant="body2"
          aria-pressed={inked}
          onClick={() => actions.decide(finding, inked ? 'pencilled' : 'inked')}
        >
          {inked ? 'Inked' : 'Ink'}
        </Link>
        {!inked && (
          <Link component="button" variant="body2" onClick={() => actions.decide(finding, 'rubbed-out')}>
            Rub out
          </Link>
        )}
      </Box>
      <Typography
        variant="body1"
        sx={{fontSize: '0.86rem', lineHeight: 1.45, fontWeight: inked ? 600 : 400, overflowWrap: 'anywhere'}}
      >
        <Coded>{finding.message}</Coded>
      </Typography>
      <Typography
        variant="body1"
        sx={{fontSize: '0.86rem', lineHeight: 1.45, fontStyle: 'italic', overflowWrap: 'anywhere'}}
      >
        <Coded>{finding.remedy}</Coded>
      </Typography>
      <Kept {...finding} reported={finding.current} />
      {current &&
        finding.related.map(place => (
          <Typography key={`${place.file}:${place.line}`} variant="body2">
            <Link component={RouterLink} underline="always" to={actions.to(place.file)}>
              {place.file}, line {place.line}
            </Link>
            : <Coded>{place.message}</Coded>
          </Typography>
        ))}
      {current && (
        <Typography
          variant="body2"
          component="div"
          sx={{color: 'text.secondary', display: 'flex', columnGap: 1.5, flexWrap: 'wrap', '& > *': {py: '2px'}}}
        >
          {finding.current && (
            <Link
              component="button"
              variant="body2"
              aria-expanded={asksAlike}
              onClick={() => actions.openAlike(asksAlike ? null : finding.fingerprint)}
            >
              All like it…
            </Link>
          )}
          {finding.requirement !== null && (
            <Link
              component="button"
              variant="body2"
              onClick={() => finding.requirement !== null && actions.toRequirement(finding.requirement)}
            >
              Its requirement
            </Link>
          )}
          <span>
            About{' '}
            <Link variant="body2" href={`/rules/${finding.rule}`} target="_blank" title={finding.rule}>
              {titleOf(finding.rule)}
            </Link>
          </span>
        </Typography>
      )}
      {current && asksAlike && <AllAlike finding={finding} />}
    </Box>
  )
}

/** A faint trace of it, with why, where that was said. */
function RubbedOut({finding, actions}: {finding: Finding; actions: MarginActions}) {
  const {mode, change} = useDesk()
  const ask = (of: string | null) => change({change: 'ask why', of})
  const [why, setWhy] = useState(finding.reason ?? '')
  const isAsked = mode.asksWhy === finding.fingerprint
  return (
    <Typography variant="body2" component="div" sx={{color: 'text.secondary', overflowWrap: 'anywhere'}}>
      <Box component="s" sx={{fontStyle: 'italic'}}>
        {titleOf(finding.rule)}
      </Box>{' '}
      rubbed out{finding.reason === null ? '' : `: ${finding.reason}`}.{' '}
      <Link component="button" underline="always" onClick={() => actions.decide(finding, 'pencilled')}>
        Bring back
      </Link>{' '}
      {!isAsked ? (
        <Link component="button" underline="always" onClick={() => ask(finding.fingerprint)}>
          {finding.reason === null ? 'Say why' : 'Say otherwise'}
        </Link>
      ) : (
        <TextField
          label="Why, for yourself and others who mark"
          value={why}
          autoFocus
          fullWidth
          sx={{mt: 0.75}}
          onChange={event => setWhy(event.target.value)}
          onKeyDown={event => {
            if (event.key === 'Escape') ask(null)
            if (event.key !== 'Enter') return
            actions.decide(finding, 'rubbed-out', why.trim())
            ask(null)
          }}
          helperText="Enter keeps it."
        />
      )}
    </Typography>
  )
}
