import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'
import {later} from './polling'

/** How far the records of a course are that are written. */
export const records = (id: string) =>
  queryOptions({
    queryKey: ['records', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/records', {params: {path: {course: id}}})),
    refetchInterval: ({state: {data}}) => (data?.state === 'waiting' ? later(data) : false),
  })

export const studentRecords = (student: string) =>
  queryOptions({
    queryKey: ['student records', student],
    queryFn: () => unwrap(api.GET('/api/students/{student}/records', {params: {path: {student}}})),
    refetchInterval: ({state: {data}}) => (data?.state === 'waiting' ? later(data) : false),
  })

/** Courses in which nothing has come in since a day. */
export const oldCourses = (before: string) =>
  queryOptions({
    queryKey: ['old courses', before],
    queryFn: () => unwrap(api.GET('/api/old-courses', {params: {query: {before}}})),
    placeholderData: previous => previous,
  })
