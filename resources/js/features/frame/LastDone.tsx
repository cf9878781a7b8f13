import {Link, Typography} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {api, unwrap} from '../../api/client'

/** What was decided on several findings together, and what takes it back. */
export interface Done {
  words: string
  batch: string
}

/** What was done last, with a way back. */
export function LastDone({last, onBack}: {last: Done; onBack: (batch: string) => void}) {
  return (
    <Typography variant="body2" role="status">
      {last.words}{' '}
      <Link component="button" variant="body2" underline="always" onClick={() => onBack(last.batch)}>
        Undo
      </Link>
    </Typography>
  )
}

/** Takes back what was done together. */
export const useWayBack = (onBack: () => Promise<unknown>) =>
  useMutation({
    mutationFn: (batch: string) => unwrap(api.DELETE('/api/decided-alike/{batch}', {params: {path: {batch}}})),
    onSuccess: onBack,
  })
