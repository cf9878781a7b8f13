import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'

/** All students of an assignment against all requirements, with the commonest slips. */
export const classSheet = (id: string) =>
  queryOptions({
    queryKey: ['class sheet', id],
    queryFn: () => unwrap(api.GET('/api/assignments/{assignment}/class-sheet', {params: {path: {assignment: id}}})),
  })

/** A requirement that people judge by eye, with the sites of a class. */
export const judging = (id: string, requirement: string) =>
  queryOptions({
    queryKey: ['judging', id, requirement],
    queryFn: () =>
      unwrap(
        api.GET('/api/assignments/{assignment}/judging/{requirement}', {params: {path: {assignment: id, requirement}}}),
      ),
  })

/** All places of one kind of slip in a class. */
export const slipStrip = (id: string, rule: string, variant: string) =>
  queryOptions({
    queryKey: ['slip strip', id, rule, variant],
    queryFn: () =>
      unwrap(
        api.GET('/api/assignments/{assignment}/slips', {params: {path: {assignment: id}, query: {rule, variant}}}),
      ),
  })

/** How many findings of a kind are in pencil, as far as each reach. */
export const alike = (handIn: string, fingerprint: string) =>
  queryOptions({
    queryKey: ['alike', handIn, fingerprint],
    queryFn: () =>
      unwrap(api.GET('/api/hand-ins/{handIn}/alike/{fingerprint}', {params: {path: {handIn, fingerprint}}})),
    gcTime: 0,
  })

/** Notes kept for use again, for whoever marks a course. */
export const stockRemarks = (id: string) =>
  queryOptions({
    queryKey: ['stock remarks', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/stock-remarks', {params: {path: {course: id}}})),
  })
