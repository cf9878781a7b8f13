import {Box, Link, Typography} from '@mui/material'
import type {ReactNode} from 'react'
import {Link as RouterLink} from 'react-router'

/** In place of a screen that could not be shown: why, and the two ways on. */
export function NotShown({
  children,
  onRetry,
  open = false,
}: {
  children: ReactNode
  onRetry: () => void
  /** for those who have no shelf to go back to */
  open?: boolean
}) {
  return (
    <Box component="main" sx={{maxWidth: 560, mx: 'auto', p: 6}}>
      <Typography variant="h1" gutterBottom>
        This page could not be shown
      </Typography>
      {children}
      <Typography variant="body2">
        <Link component="button" onClick={onRetry}>
          Try again
        </Link>
        {!open && (
          <>
            , or go{' '}
            <Link component={RouterLink} to="/">
              back to the shelf
            </Link>
          </>
        )}
        .
      </Typography>
    </Box>
  )
}
