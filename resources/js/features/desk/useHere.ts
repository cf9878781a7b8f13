import {useQueryClient} from '@tanstack/react-query'
import {useEffect, useRef, useState} from 'react'
import {api, unwrap} from '../../api/client'
import {refreshHandIn} from '../../api/desk'

/** Milliseconds between two looks: what is written on another desk is seen here within three seconds. */
const PAUSE = 2500

/**
 * Says that somebody reads a hand-in, and asks for it anew when it was written to from another desk.
 *
 * @param stamp of the desk as it was asked for last
 * @returns who else reads it, and for how many seconds it was read here, all in all
 */
export function useHere(handIn: string, stamp: string): {others: string[]; seconds: number} {
  const queries = useQueryClient()
  const [here, setHere] = useState<{others: string[]; seconds: number}>({others: [], seconds: 0})
  const known = useRef(stamp)
  useEffect(() => {
    known.current = stamp
  }, [stamp])
  useEffect(() => {
    let since = Date.now()
    let isOver = false
    const look = async () => {
      if (document.hidden) {
        since = Date.now()
        return
      }
      const seconds = Math.min(60, Math.round((Date.now() - since) / 1000))
      since = Date.now()
      try {
        const told = await unwrap(api.PUT('/api/hand-ins/{handIn}/here', {params: {path: {handIn}}, body: {seconds}}))
        if (isOver) return
        setHere(old =>
          old.seconds === told.seconds && old.others.join() === told.others.join()
            ? old
            : {others: told.others, seconds: told.seconds},
        )
        if (told.stamp === known.current) return
        known.current = told.stamp
        await refreshHandIn(queries, handIn)
      } catch {
        // Offline: the next call catches up, and the foot line shows what is waiting to be sent.
      }
    }
    const timer = setInterval(() => void look(), PAUSE)
    return () => {
      isOver = true
      clearInterval(timer)
    }
  }, [handIn, queries])
  return here
}
