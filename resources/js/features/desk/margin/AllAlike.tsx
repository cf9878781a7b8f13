import {Box, Button, FormControlLabel, Link, Radio, RadioGroup, TextField, Typography} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {alike} from '../../../api/marking'
import {ErrorText} from '../../../ui/Remark'
import {many} from '../../../lib/when'
import {useDesk} from '../deskState'
import type {Reach} from './actions'
import type {Finding} from './marks'

const REACHES: [Reach, string][] = [
  ['page', 'on this page'],
  ['site', 'in this site'],
  ['class', 'in the class'],
]

/** Decides on all findings of a kind that are in pencil, as far as is chosen: it counts before, and can be undone. */
export function AllAlike({finding}: {finding: Finding}) {
  const {desk, actions} = useDesk()
  const {data, error} = useQuery(alike(desk.id, finding.fingerprint))
  const [chosen, setChosen] = useState<Reach | null>(null)
  const [reason, setReason] = useState('')
  // What only the class has is for the class; the nearest that says more than this one is offered.
  const wider = data === undefined ? undefined : REACHES.find(([reach]) => data[reach].findings > 1)?.[0]
  const reach = chosen ?? wider ?? 'page'
  const decide = (state: 'inked' | 'rubbed-out') =>
    actions.decideAlike(finding, reach, state, state === 'rubbed-out' ? reason : '')
  return (
    <Box
      component="section"
      aria-label="All like it"
      onClick={event => event.stopPropagation()}
      sx={{borderTop: 1, borderBottom: 1, borderColor: 'desk.rule', my: 1, py: 0.75, color: 'text.primary'}}
    >
      <ErrorText error={error} />
      <RadioGroup
        aria-label="How far"
        value={reach}
        onChange={(_event, to) => setChosen(REACHES.find(([one]) => one === to)?.[0] ?? 'page')}
      >
        {REACHES.map(([one, words]) => (
          <FormControlLabel
            key={one}
            value={one}
            control={<Radio size="small" sx={{py: 0.2}} />}
            label={
              <Typography variant="body2">
                {words}: {data === undefined ? '…' : countOf(data[one], one)}
              </Typography>
            }
          />
        ))}
      </RadioGroup>
      <TextField
        label="Why rubbed out (you need not say)"
        value={reason}
        onChange={event => setReason(event.target.value)}
        fullWidth
        sx={{mt: 0.5}}
      />
      <Box sx={{display: 'flex', gap: 1, mt: 0.75}}>
        <Button variant="contained" disabled={(data?.[reach].findings ?? 0) === 0} onClick={() => decide('inked')}>
          Ink {data === undefined ? 'them' : data[reach].findings}
        </Button>
        <Button disabled={(data?.[reach].findings ?? 0) === 0} onClick={() => decide('rubbed-out')}>
          Rub out
        </Button>
        <Box sx={{flex: 1}} />
        <Link component="button" variant="body2" onClick={() => actions.openAlike(null)}>
          Leave
        </Link>
      </Box>
    </Box>
  )
}

const countOf = ({findings, handIns}: {findings: number; handIns: number}, reach: Reach) =>
  reach === 'class' && findings > 0 ? `${findings} in ${many(handIns, 'hand-in')}` : `${findings} in pencil`
