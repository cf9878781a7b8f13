import {Box, Link, Typography} from '@mui/material'
import type {ReactNode} from 'react'
import {Link as RouterLink} from 'react-router'

/** In place of a screen that could not be shown: why, and the two ways on. */
export function NotShown({children, onRetry}: {children: ReactNode; onRetry: () => void}) {
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
        , or go{' '}
        <Link component={RouterLink} to="/">
          back to the shelf
        </Link>
        .
      </Typography>
    </Box>
  )
}
