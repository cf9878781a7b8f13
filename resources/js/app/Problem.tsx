import {Typography} from '@mui/material'
import {useRouteError} from 'react-router'
import {NotShown} from '../ui/NotShown'

const NOT_ARRIVED =
  'The server does not answer, or Inked Margin has been updated since this page was opened. ' +
  'Nothing that was kept is lost.'

/** Where a screen could not be shown: what happened, and the way on. */
export function Problem() {
  const error = useRouteError()
  return (
    <NotShown onRetry={() => window.location.reload()}>
      <Typography variant="body1" gutterBottom role="alert">
        {wordsFor(error)}
      </Typography>
    </NotShown>
  )
}

/** Browsers reject the import of a screen that did not arrive with a TypeError, in words of their own. */
function wordsFor(error: unknown): string {
  if (error instanceof TypeError) return NOT_ARRIVED
  return error instanceof Error ? error.message : 'There is nothing at this address.'
}
