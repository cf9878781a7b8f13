import {Typography} from '@mui/material'

/** What went wrong, in oxblood, with every line of it. */
export function ErrorText({error}: {error: Error | null}) {
  if (error === null) return null
  return (
    <Typography role="alert" variant="body2" sx={{color: 'desk.fault', whiteSpace: 'pre-line', my: 1}}>
      {error.message}
    </Typography>
  )
}

/** What to do first on an empty screen. */
export function Empty({children}: {children: React.ReactNode}) {
  return (
    <Typography variant="body1" color="textSecondary" sx={{fontStyle: 'italic', my: 2}}>
      {children}
    </Typography>
  )
}
