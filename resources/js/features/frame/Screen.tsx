import {useQueryErrorResetBoundary, useSuspenseQuery} from '@tanstack/react-query'
import {Component, Suspense, type ReactNode} from 'react'
import {me} from '../../api/account'
import {NotShown} from '../../ui/NotShown'
import {ErrorText} from '../../ui/Remark'
import {Waiting} from '../../ui/Waiting'

/**
 * Waits for what a screen reads, and says what happened when it cannot be read. An open one is for those who do not log
 * in.
 */
export function Screen({children, open = false}: {children: ReactNode; open?: boolean}) {
  const {reset} = useQueryErrorResetBoundary()
  return (
    <Boundary retry={reset} open={open}>
      <Suspense fallback={<Waiting pad={6}>Fetching the page…</Waiting>}>
        {open ? children : <AsReader>{children}</AsReader>}
      </Suspense>
    </Boundary>
  )
}

/** No time is shown before it is known by whose clock. */
function AsReader({children}: {children: ReactNode}) {
  useSuspenseQuery(me)
  return children
}

interface Props {
  children: ReactNode
  retry: () => void
  open: boolean
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
      <NotShown onRetry={again} open={this.props.open}>
        <ErrorText error={this.state.error} />
      </NotShown>
    )
  }
}
