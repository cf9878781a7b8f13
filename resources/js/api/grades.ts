import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'

/** The work of a course side by side. */
export const gradebook = (id: string) =>
  queryOptions({
    queryKey: ['gradebook', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/gradebook', {params: {path: {course: id}}})),
  })

/** The numbers of one student, opened to their sums. */
export const studentGrades = (student: string) =>
  queryOptions({
    queryKey: ['student grades', student],
    queryFn: () => unwrap(api.GET('/api/students/{student}/grades', {params: {path: {student}}})),
  })

/** How a class came along over its assignments. */
export const term = (id: string) =>
  queryOptions({
    queryKey: ['term', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/term', {params: {path: {course: id}}})),
  })

/** The same, with one student beside the class. */
export const studentTerm = (student: string) =>
  queryOptions({
    queryKey: ['student term', student],
    queryFn: () => unwrap(api.GET('/api/students/{student}/term', {params: {path: {student}}})),
    placeholderData: previous => previous,
  })
