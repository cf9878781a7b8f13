import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useCallback, useEffect, useRef, useState} from 'react'
import {api, unwrap} from '../../../../api/client'
import {isUnreached} from '../../../../lib/apiError'
import type {Schemas} from '../../../../lib/schemas'
import {desk, mendedCopy} from '../../../../api/desk'

type Copy = Schemas['MendedCopyView']

/** Milliseconds without a letter after which it is checked, and after which it is kept. */
const BEFORE_CHECK = 350
const BEFORE_KEEPING = 4000

const PLACE = 'mended copy in the making: '

/** A copy that is mended: checked as it is typed, and kept a little later; in the browser with every letter. */
export function useMended(handIn: string, path: string, copy: Copy) {
  const queries = useQueryClient()
  const place = `${PLACE}${handIn} ${path}`
  const [first] = useState(() => localStorage.getItem(place) ?? copy.text)
  const [text, setText] = useState(first)
  const [check, setCheck] = useState<Schemas['MendedCheck'] | null>(null)
  const newest = useRef(text)
  const words = useRef('typed')
  const keep = useMutation({
    scope: {id: `mended copy of ${path}`},
    retry: (_failures: number, error: Error) => isUnreached(error),
    retryDelay: 2000,
    mutationFn: async (sent: string) => {
      const {steps} = queries.getQueryData(mendedCopy(handIn, path).queryKey) ?? copy
      const body = {text: sent, words: words.current, after: steps.at(-1)?.number ?? 0}
      return unwrap(api.PUT('/api/hand-ins/{handIn}/mended/{path}', {params: {path: {handIn, path}}, body}))
    },
    onSuccess: (kept, sent) => {
      queries.setQueryData(mendedCopy(handIn, path).queryKey, kept)
      if (newest.current === sent) localStorage.removeItem(place)
      words.current = 'typed'
      void queries.invalidateQueries({queryKey: desk(handIn).queryKey})
    },
  })
  const {mutate} = keep
  const isKept = text === copy.text
  useEffect(() => {
    let isOver = false
    const timer = setTimeout(() => {
      unwrap(
        api.POST('/api/hand-ins/{handIn}/mended-check/{path}', {params: {path: {handIn, path}}, body: {text}}),
      ).then(
        told => {
          if (!isOver) setCheck(told)
        },
        // It is checked again with the next letter.
        () => undefined,
      )
    }, BEFORE_CHECK)
    return () => {
      isOver = true
      clearTimeout(timer)
    }
  }, [handIn, path, text])
  useEffect(() => {
    if (isKept) return
    const timer = setTimeout(() => mutate(text), BEFORE_KEEPING)
    return () => clearTimeout(timer)
  }, [isKept, text, mutate])
  const type = useCallback(
    (to: string) => {
      newest.current = to
      localStorage.setItem(place, to)
      setText(to)
    },
    [place],
  )
  return {
    first,
    text,
    check,
    isKept,
    type,
    /** says what is done with the next change */
    say: (what: string) => {
      words.current = what
    },
    keep: () => {
      if (!isKept) mutate(text)
    },
    error: keep.error,
  }
}
