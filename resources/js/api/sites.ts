import {queryOptions} from '@tanstack/react-query'
import type {Schemas} from '../lib/schemas'
import {api, unwrap} from './client'
import {later} from './polling'

/** A site that nobody handed in. */
export const givenSite = (assignment: string, site: string) =>
  queryOptions({
    queryKey: ['given site', assignment, site],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/sites/{site}', {params: {path: {assignment, site}}})),
  })

/** A site that is looked at: what was handed in, or what nobody did: an assignment's own files, an example. */
export type SiteOf = {handIn: string} | {assignment: string; site: string}

/** Whether a leaf is there, and can be read as text. */
export const isText = (leaf: Schemas['Leaf'] | undefined): boolean =>
  leaf !== undefined && !leaf.missing && leaf.kind !== 'picture'

export const source = (of: SiteOf, path: string) =>
  queryOptions({
    queryKey: ['source', of, path],
    queryFn: async () => {
      const file = await unwrap<Schemas['SourceText']>(
        'handIn' in of
          ? api.GET('/api/hand-ins/{handIn}/source/{path}', {params: {path: {...of, path}}})
          : api.GET('/api/assignments/{assignment}/sites/{site}/source/{path}', {params: {path: {...of, path}}}),
      )
      // As editors count lines, whatever system the file is from.
      return {...file, text: file.text.replace(/\r\n?/g, '\n')}
    },
    staleTime: Infinity,
  })

/** On a large site the answer shows the neighbours of one page; on any other it is the same for every page. */
export const survey = (of: SiteOf, around: string) =>
  queryOptions({
    queryKey: ['survey', of, around],
    queryFn: () =>
      unwrap<Schemas['SurveyView']>(
        'handIn' in of
          ? api.GET('/api/hand-ins/{handIn}/survey', {params: {path: of, query: {around}}})
          : api.GET('/api/assignments/{assignment}/sites/{site}/survey', {params: {path: of, query: {around}}}),
      ),
    staleTime: ({state}) => (state.data?.ready === true ? Infinity : 0),
    refetchInterval: ({state: {data}}) => (data?.ready === false ? later(data) : false),
  })

export const seen = (of: SiteOf, scripts: boolean, styles: string) =>
  queryOptions({
    queryKey: ['seen', of, scripts, styles],
    queryFn: () => {
      const query = {scripts: scripts ? 1 : 0, styles} as const
      return unwrap<Schemas['SeenPage']>(
        'handIn' in of
          ? api.GET('/api/hand-ins/{handIn}/seen', {params: {path: of, query}})
          : api.GET('/api/assignments/{assignment}/sites/{site}/seen', {params: {path: of, query}}),
      )
    },
    staleTime: 60 * 60 * 1000,
    placeholderData: previous => previous,
  })

/** What an element looks like. The files of a hand-in do not change. */
export const looks = (handIn: string, leaf: string, at: string) =>
  queryOptions({
    queryKey: ['looks', handIn, leaf, at],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/looks', {params: {path: {handIn}, query: {leaf, at}}})),
    staleTime: Infinity,
    placeholderData: previous => previous,
  })

/** The element of a page that a line of its source is of. */
export const elementOn = (handIn: string, leaf: string, line: number) =>
  queryOptions({
    queryKey: ['element', handIn, leaf, line],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/elements', {params: {path: {handIn}, query: {leaf, line}}})),
    staleTime: Infinity,
    retry: false,
  })

/** Where an element of a page is in its source. */
export const placeOf = (handIn: string, leaf: string, at: string) =>
  queryOptions({
    queryKey: ['place of element', handIn, leaf, at],
    queryFn: () => unwrap(api.GET('/api/hand-ins/{handIn}/elements', {params: {path: {handIn}, query: {leaf, at}}})),
    staleTime: Infinity,
  })
