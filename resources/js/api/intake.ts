import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'
import {later, busy} from './polling'

export const arrivals = (id: string) =>
  queryOptions({
    queryKey: ['arrivals', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/arrivals', {params: {path: {assignment: id}}})),
    refetchInterval: ({state: {data}}) =>
      data?.some(arrival => arrival.state === 'waiting' || busy(arrival.run)) === true ? later(data) : false,
  })
