import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'
import {later} from './polling'

/** A student's own page. */
export const myPage = (token: string) =>
  queryOptions({
    queryKey: ['my page', token],
    queryFn: () => unwrap(api.GET('/api/my/{token}', {params: {path: {token}}})),
  })

/** A piece of work as its student reads it; asked for again while a check is under way. */
export const myWork = (token: string, assignment: string) =>
  queryOptions({
    queryKey: ['my work', token, assignment],
    queryFn: () => unwrap(api.GET('/api/my/{token}/assignments/{assignment}', {params: {path: {token, assignment}}})),
    refetchInterval: ({state: {data}}) =>
      data !== undefined && (data.attempts.some(one => !one.checked) || data.coming.some(one => one.refused === null))
        ? later(data)
        : false,
  })

export const myCheck = (token: string, handIn: string) =>
  queryOptions({
    queryKey: ['my check', token, handIn],
    queryFn: () => unwrap(api.GET('/api/my/{token}/hand-ins/{handIn}/check', {params: {path: {token, handIn}}})),
  })

export const myReply = (token: string, handIn: string) =>
  queryOptions({
    queryKey: ['my reply', token, handIn],
    queryFn: () => unwrap(api.GET('/api/my/{token}/hand-ins/{handIn}/reply', {params: {path: {token, handIn}}})),
  })
