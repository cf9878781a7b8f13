import {queryOptions} from '@tanstack/react-query'
import {readIn} from '../lib/when'
import {api, unwrap} from './client'

export const me = queryOptions({
  queryKey: ['me'],
  queryFn: async () => {
    const who = await unwrap(api.GET('/api/me'))
    readIn(who.timeZone)
    return who
  },
  staleTime: Infinity,
})

/** Letters that no mail server took. */
export const outbox = queryOptions({queryKey: ['outbox'], queryFn: () => unwrap(api.GET('/api/outbox'))})

/** Whether nobody has an account yet. */
export const firstRun = queryOptions({
  queryKey: ['first run'],
  queryFn: () => unwrap(api.GET('/api/first-run')),
  staleTime: Infinity,
})
