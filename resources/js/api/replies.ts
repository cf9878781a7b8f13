import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'

/** Slips of a class as a handout. */
export const lesson = (id: string, kinds: string[]) =>
  queryOptions({
    queryKey: ['lesson', id, kinds],
    queryFn: () =>
      unwrap(
        api.GET('/api/assignments/{assignment}/lesson', {
          params: {path: {assignment: id}, query: {'kinds[]': kinds}},
        }),
      ),
    placeholderData: previous => previous,
  })

/** The replies of a class that could be released now. */
export const readyReplies = (id: string) =>
  queryOptions({
    queryKey: ['ready replies', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/replies', {params: {path: {assignment: id}}})),
    gcTime: 0,
  })

export const reply = (handIn: string) =>
  queryOptions({
    queryKey: ['reply', handIn],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/reply', {params: {path: {handIn}}})),
  })
