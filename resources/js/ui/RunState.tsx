import {Box, LinearProgress, Typography} from '@mui/material'
import type {ReactNode} from 'react'
import type {Schemas} from '../lib/schemas'

/** How far a check has come; once it is finished, what it is shown around. */
export function RunState({run, children}: {run: Schemas['RunView']; children: ReactNode}) {
  if (run.state === 'finished') return <>{children}</>
  if (run.state === 'failed') {
    return (
      <Typography variant="body2" sx={{color: 'desk.fault'}}>
        The check failed: {run.trouble}
      </Typography>
    )
  }
  if (run.state === 'waiting')
    return (
      <Typography variant="body2" color="textSecondary">
        waits for a brief
      </Typography>
    )
  const value = run.steps === 0 ? 0 : (100 * run.done) / run.steps
  return (
    <Box sx={{display: 'flex', alignItems: 'center', gap: 1}}>
      <LinearProgress variant="determinate" value={value} aria-label="Check" sx={{width: 90}} />
      <Typography variant="body2" color="textSecondary">
        {run.state === 'queued' ? 'waits for its check' : 'is being checked'}
      </Typography>
    </Box>
  )
}
