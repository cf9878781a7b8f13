import {queryOptions} from '@tanstack/react-query'
import {api, unwrap} from './client'

export const shelf = queryOptions({queryKey: ['shelf'], queryFn: () => unwrap(api.GET('/api/shelf'))})

export const course = (id: string) =>
  queryOptions({
    queryKey: ['course', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}', {params: {path: {course: id}}})),
  })

/** Who sets and marks work in a course. */
export const people = (id: string) =>
  queryOptions({
    queryKey: ['people', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/people', {params: {path: {course: id}}})),
  })

/** What was done to a course, the last first. */
export const deeds = (id: string) =>
  queryOptions({
    queryKey: ['deeds', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/deeds', {params: {path: {course: id}}})),
  })

/** How much of a course is stored, and how much may be. */
export const space = (id: string) =>
  queryOptions({
    queryKey: ['space', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/space', {params: {path: {course: id}}})),
  })

/** The private links of a course's students. */
export const studentLinks = (id: string) =>
  queryOptions({
    queryKey: ['student links', id],
    queryFn: () => unwrap(api.POST('/api/courses/{course}/student-links', {params: {path: {course: id}}})),
    gcTime: 0,
  })

/** The one link of a course that asks for a handle; null where it is off. */
export const courseLink = (id: string) =>
  queryOptions({
    queryKey: ['course link', id],
    queryFn: () => unwrap(api.GET('/api/courses/{course}/link', {params: {path: {course: id}}})),
  })

export const courseDoor = (token: string) =>
  queryOptions({
    queryKey: ['course door', token],
    queryFn: () => unwrap(api.GET('/api/join/{token}', {params: {path: {token}}})),
  })
