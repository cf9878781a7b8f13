import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'
import {later, busy} from './polling'

export const assignment = (id: string) =>
  queryOptions({
    queryKey: ['assignment', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}', {params: {path: {assignment: id}}})),
    refetchInterval: ({state: {data}}) =>
      data !== undefined && (data.checking !== null || data.handIns.some(line => busy(line.run))) ? later(data) : false,
  })

export const materials = (id: string) =>
  queryOptions({
    queryKey: ['materials', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/materials', {params: {path: {assignment: id}}})),
  })
