import {Box, Link, Typography} from '@mui/material'
import {Link as RouterLink, useRouteError} from 'react-router'

/** Where a screen could not be shown: what happened, and the way on. */
export function Problem() {
  const error = useRouteError()
  return (
    <Box component="main" sx={{maxWidth: 560, mx: 'auto', p: 6}}>
      <Typography variant="h1" gutterBottom>
        This page could not be shown
      </Typography>
      <Typography variant="body1" gutterBottom role="alert">
        {wordsFor(error)}
      </Typography>
      <Typography variant="body2">
        <Link component="button" onClick={() => window.location.reload()}>
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

/** Browsers reject the import of a screen that did not arrive with a TypeError, in words of their own. */
function wordsFor(error: unknown): string {
  if (error instanceof TypeError)
    return 'The server does not answer, or Inked Margin has been updated since this page was opened. Nothing that was kept is lost.'
  return error instanceof Error ? error.message : 'There is nothing at this address.'
}
