import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'

/** What is found by words. */
export const search = (words: string) =>
  queryOptions({
    queryKey: ['search', words],
    queryFn: ({signal}) => unwrap(api.GET('/api/search', {params: {query: {q: words}}, signal})),
    placeholderData: previous => previous,
    gcTime: 60_000,
  })

/** A rule of the check, with its examples. */
export const rule = (id: string) =>
  queryOptions({
    queryKey: ['rule', id],
    queryFn: () => unwrap(api.GET('/api/rules/{rule}', {params: {path: {rule: id}}})),
    staleTime: Infinity,
  })
