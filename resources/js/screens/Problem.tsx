import {Box, Link, Typography} from '@mui/material'
import {Link as RouterLink, useRouteError} from 'react-router'

/** Where a screen could not be shown: what happened, and the way back. */
export function Problem() {
  const error = useRouteError()
  return (
    <Box component="main" sx={{maxWidth: 560, mx: 'auto', p: 6}}>
      <Typography variant="h1" gutterBottom>
        This page could not be shown
      </Typography>
      <Typography variant="body1" gutterBottom>
        {error instanceof Error ? error.message : 'There is nothing at this address.'}
      </Typography>
      <Typography variant="body2">
        <Link component={RouterLink} to="/">
          Back to the shelf
        </Link>
      </Typography>
    </Box>
  )
}
