import {useMutation} from '@tanstack/react-query'
import {useCallback, useEffect, useRef, useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {awaitTry, tryWords} from './awaitTry'

/** A site that is tried on the server, for as long as this page is open and the student waits. */
export function useTry(token: string) {
  const [words, setWords] = useState('')
  const waiting = useRef<AbortController | null>(null)
  const {mutate, reset, isPending, error, data} = useMutation({
    mutationFn: async ({send, body}: {send: () => Promise<string>; body: Schemas['MyHandInRequest']}) => {
      const stop = new AbortController()
      waiting.current = stop
      setWords(tryWords({state: 'waiting', ahead: 0, trouble: null, check: null}))
      const upload = await send()
      stop.signal.throwIfAborted()
      const {id} = await unwrap(
        api.POST('/api/my/{token}/uploads/{upload}/try', {params: {path: {token, upload}}, body}),
      )
      const params = {path: {token, try: id}}
      try {
        return await awaitTry(
          () => unwrap(api.GET('/api/my/{token}/tries/{try}', {params})),
          now => setWords(tryWords(now)),
          stop.signal,
        )
      } finally {
        // Whether it ended or the student left: the server need not go on, nor keep what came of it.
        void api.DELETE('/api/my/{token}/tries/{try}', {params, keepalive: true}).catch(() => undefined)
      }
    },
  })
  const stop = useCallback(() => {
    waiting.current?.abort()
    reset()
  }, [reset])
  useEffect(() => () => waiting.current?.abort(), [])
  return {
    begin: (send: () => Promise<string>, body: Schemas['MyHandInRequest']) => mutate({send, body}),
    stop,
    isPending,
    error,
    check: data ?? null,
    words,
  }
}
