import {queryOptions, type QueryClient} from '@tanstack/react-query'
import type {Schemas} from '../lib/schemas'
import {api, unwrap} from './client'
import {readingOrder} from './readingOrder'
import {me} from './account'
import {later, busy} from './polling'
import {isText, source} from './sites'

const findingsKey = (handIn: string) => ['findings', handIn]

/** Asks for a hand-in anew: its desk, and what was found on every leaf. */
export async function refreshHandIn(queries: QueryClient, id: string) {
  await queries.invalidateQueries({queryKey: findingsKey(id)})
  await queries.invalidateQueries({queryKey: desk(id).queryKey})
}

/** Screens on which points are shown: they ask anew when they are looked at next. */
const SHOW_POINTS = ['class sheet', 'gradebook', 'student grades', 'assignment', 'reply', 'ready replies', 'term']

/** Asks anew for whatever points of a hand-in stand on. */
export async function refreshPoints(queries: QueryClient, id: string) {
  await Promise.all(SHOW_POINTS.map(screen => queries.invalidateQueries({queryKey: [screen]})))
  await refreshHandIn(queries, id)
}

const leafInAddress = () => new URLSearchParams(location.search).get('leaf')

/** A hand-in, and with it what was found on the leaf that is named, or on its first where none is. */
export const desk = (id: string, leaf: () => string | null = leafInAddress) =>
  queryOptions({
    queryKey: ['desk', id],
    queryFn: async ({client, signal}) => {
      const named = leaf()
      const {by, rule} = readingOrder()
      const query = {order: by, ...(named === null ? {} : {leaf: named}), ...(rule === null ? {} : {with: rule})}
      const before = client.getQueryData<Schemas['Desk']>(['desk', id])
      const answer = await unwrap(api.GET('/api/hand-ins/{handIn}', {params: {path: {handIn: id}, query}, signal}))
      // What was found by another run is of no use, on whichever leaf.
      if (before !== undefined && before.run.state !== answer.run.state)
        client.removeQueries({queryKey: findingsKey(id), type: 'inactive'})
      client.setQueryData(findings(id, answer.first.leaf).queryKey, answer.first.findings)
      return answer
    },
    refetchInterval: ({state: {data}}) => (data !== undefined && busy(data.run) ? later(data) : false),
  })

/** What was found on one leaf. It changes with what the desk itself does, and with a new run. */
export const findings = (handIn: string, leaf: string) =>
  queryOptions({
    queryKey: [...findingsKey(handIn), leaf],
    queryFn: ({signal}) =>
      unwrap(api.GET('/api/hand-ins/{handIn}/findings', {params: {path: {handIn}, query: {leaf}}, signal})),
    staleTime: Infinity,
  })

/** A note in the making, as it will be read. */
export const preview = (body: string) =>
  queryOptions({
    queryKey: ['preview', body],
    queryFn: () => unwrap(api.POST('/api/notes/preview', {body: {body}})),
    staleTime: Infinity,
    gcTime: 0,
  })

/** An attempt held against an earlier one; the one before it where none is named. */
export const comparedAttempts = (handIn: string, against: number | null) =>
  queryOptions({
    queryKey: ['attempts', handIn, against],
    queryFn: () =>
      unwrap(
        api.GET('/api/hand-ins/{handIn}/attempts', {
          params: {path: {handIn}, query: against === null ? {} : {with: against}},
        }),
      ),
  })

/** A file as the instructor would have it. */
export const mendedCopy = (handIn: string, path: string) =>
  queryOptions({
    queryKey: ['mended', handIn, path],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/mended/{path}', {params: {path: {handIn, path}}})),
    // What is on the screen is newer than what comes back.
    staleTime: Infinity,
    gcTime: 0,
  })

/** What was found about links and navigation, on all leaves. */
export const findingsOfLinks = (handIn: string) =>
  queryOptions({
    queryKey: ['findings of links', handIn],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/findings', {params: {path: {handIn}, query: {links: 1}}})),
  })

/**
 * Asks for all that a desk shows first before it is drawn, so that nothing of it waits for anything else.
 *
 * @returns fulfilled when all of it is there, or cannot be had
 */
export async function askForDesk(queries: QueryClient, id: string, leaf: string | null): Promise<void> {
  const reader = queries.query(me).catch(() => undefined)
  // What is named is most likely a text that is there; where it is not, nobody misses the answer.
  if (leaf !== null && /\.(?:html?|css|js)$/i.test(leaf))
    queries.query({...source({handIn: id}, leaf), retry: false}).catch(() => undefined)
  await queries
    .query(desk(id, () => leaf))
    .then(({leaves, first}) => {
      const there = leaves.find(one => one.path === first.leaf)
      return isText(there) ? queries.query(source({handIn: id}, first.leaf)) : undefined
    })
    // Where it cannot be had, the screen asks again and says so.
    .catch(() => undefined)
  await reader
}
