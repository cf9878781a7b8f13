import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'

/** All that a brief can ask for. */
export const briefKinds = queryOptions({
  queryKey: ['brief kinds'],
  queryFn: () => unwrap(api.GET('/api/brief-kinds')),
  staleTime: Infinity,
})

/** The brief that is being written, as it was kept last. */
export const briefDraft = (id: string) =>
  queryOptions({
    queryKey: ['brief draft', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/brief/draft', {params: {path: {assignment: id}}})),
    // What is on the screen is newer than what comes back.
    staleTime: Infinity,
    gcTime: 0,
  })

export const trialSites = (id: string) =>
  queryOptions({
    queryKey: ['trial sites', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/brief/sites', {params: {path: {assignment: id}}})),
  })

/** What a brief says, and what it comes to on a site. */
export const briefReading = (id: string, source: string, site: string | null) =>
  queryOptions({
    queryKey: ['brief reading', id, source, site],
    queryFn: ({signal}) =>
      unwrap(
        api.POST('/api/assignments/{assignment}/brief/reading', {
          params: {path: {assignment: id}},
          body: {source, site},
          signal,
        }),
      ),
    placeholderData: previous => previous,
    gcTime: 60_000,
  })
