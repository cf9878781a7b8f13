import {Box, Link} from '@mui/material'
import {useMutationState} from '@tanstack/react-query'
import {useEffect} from 'react'
import {many} from '../../lib/when'
import type {Feedback} from './useFeedback'

/** What was done last, and a way back from it; or that the connection is gone, and what waits for it. */
export function FootOfDesk({feedback}: {feedback: Feedback}) {
  const waiting = useMutationState({
    filters: {status: 'pending'},
    select: ({state: {failureCount, isPaused}}) => failureCount > 0 || isPaused,
  })
  const isCutOff = waiting.some(one => one)
  useEffect(() => {
    if (!isCutOff) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    addEventListener('beforeunload', ask)
    return () => removeEventListener('beforeunload', ask)
  }, [isCutOff])
  if (isCutOff)
    return (
      <Box component="span" sx={{color: 'desk.waits', fontWeight: 700}}>
        No connection. {many(waiting.length, 'thing')} you did {waiting.length === 1 ? 'waits' : 'wait'} here, and will
        be sent when it is back.
      </Box>
    )
  if (feedback.lastStep === null) return null
  return (
    <>
      {feedback.lastStep}{' '}
      <Link component="button" onClick={feedback.undo}>
        Undo
      </Link>
    </>
  )
}
