import {useEffect, useRef, useState} from 'react'
import {api} from '../../api/client'
import {ApiError} from '../../lib/apiError'
import type {Schemas} from '../../lib/schemas'

type Kept = Schemas['BriefDraftView']

/**
 * Milliseconds without a change after which a draft is kept; twice as long each time that this fails, up to a point.
 */
const PAUSE = 700

const MAX_DOUBLED = 4

export interface Keeping {
  /** when it was kept last; null for not yet */
  at: Date | null
  /** what somebody else wrote meanwhile; nothing is kept until one of the two is chosen */
  theirs: Kept | null
  error: Error | null
  /** writes over theirs */
  keepMine: () => void
}

/** Keeps a draft as it goes, one request after the other, so that none overtakes another. */
export function useKept(assignment: string, source: string, begun: Kept): Keeping {
  const [at, setAt] = useState<Date | null>(null)
  const [theirs, setTheirs] = useState<Kept | null>(null)
  const [error, setError] = useState<Error | null>(null)
  const version = useRef(begun.version)
  const kept = useRef(source)
  const busy = useRef(false)
  const failures = useRef(0)
  const [round, setRound] = useState(0)
  useEffect(() => {
    if (source === kept.current || theirs !== null) return
    const timer = setTimeout(
      () => {
        if (busy.current) return
        busy.current = true
        void keep(assignment, source, version.current)
          .then(answer => {
            failures.current = 0
            setError(null)
            if ('theirs' in answer) {
              setTheirs(answer.theirs)
            } else {
              version.current = answer.kept.version
              kept.current = source
              setAt(new Date())
            }
          })
          .catch((failure: unknown) => {
            failures.current++
            setError(failure instanceof Error ? failure : new Error(String(failure)))
          })
          .finally(() => {
            busy.current = false
            // What was written meanwhile is next.
            setRound(now => now + 1)
          })
      },
      PAUSE * 2 ** Math.min(failures.current, MAX_DOUBLED),
    )
    return () => clearTimeout(timer)
  }, [assignment, source, theirs, round])
  const keepMine = () => {
    if (theirs === null) return
    version.current = theirs.version
    setTheirs(null)
  }
  return {at, theirs, error, keepMine}
}

async function keep(assignment: string, source: string, version: number): Promise<{kept: Kept} | {theirs: Kept}> {
  const {data, error, response} = await api.PUT('/api/assignments/{assignment}/brief/draft', {
    params: {path: {assignment}},
    body: {source, version},
  })
  if (data !== undefined) return {kept: data}
  const refused = error as Partial<Kept> & {message?: string}
  if (response.status === 409 && refused.source !== undefined) return {theirs: refused as Kept}
  if (response.status === 401)
    throw new ApiError('You are not logged in any more. Log in in another tab: what you wrote is on this page.', 401)
  throw new ApiError(refused.message ?? 'The draft could not be kept. It is still on this page.', response.status)
}
