import {Typography} from '@mui/material'

/** What is shown while something is fetched or drawn, in the room that it will take. */
export function Waiting({pad = 4, children}: {pad?: number; children: string}) {
  return (
    <Typography role="status" variant="body2" color="textSecondary" sx={{p: pad}}>
      {children}
    </Typography>
  )
}
