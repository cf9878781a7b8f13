import {Box, Link, Typography} from '@mui/material'
import {useQueryErrorResetBoundary} from '@tanstack/react-query'
import {Component, Suspense, type ReactNode} from 'react'
import {Link as RouterLink} from 'react-router'
import {ErrorText} from '../parts/Remark'

/** Waits for what a screen reads, and says what happened when it cannot be read. */
export function Screen({children}: {children: ReactNode}) {
  const {reset} = useQueryErrorResetBoundary()
  return (
    <Boundary retry={reset}>
      <Suspense
        fallback={
          <Typography role="status" variant="body2" color="textSecondary" sx={{p: 6}}>
            Fetching the page…
          </Typography>
        }
      >
        {children}
      </Suspense>
    </Boundary>
  )
}

interface Props {
  children: ReactNode
  retry: () => void
}

class Boundary extends Component<Props, {error: Error | null}> {
  override state: {error: Error | null} = {error: null}

  static getDerivedStateFromError(error: Error) {
    return {error}
  }

  override render() {
    if (this.state.error === null) return this.props.children
    const again = () => {
      this.props.retry()
      this.setState({error: null})
    }
    return (
      <Box component="main" sx={{maxWidth: 560, mx: 'auto', p: 6}}>
        <Typography variant="h1" gutterBottom>
          This page could not be shown
        </Typography>
        <ErrorText error={this.state.error} />
        <Typography variant="body2">
          <Link component="button" onClick={again}>
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
}
