import createClient, {type Middleware} from 'openapi-fetch'
import {ApiError} from '../lib/apiError'
import type {paths} from '../lib/schema'

/** This tab of the browser, so that the server can tell others what was written from here, and not this one. */
const DESK = `desk-${Math.random().toString(36).slice(2)}-${Date.now().toString(36)}`

/** Laravel puts the CSRF token into a cookie, and reads it back from this header. */
const sessionGuard: Middleware = {
  onRequest({request}) {
    const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1]
    if (token !== undefined) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token))
    request.headers.set('Accept', 'application/json')
    request.headers.set('X-Desk', DESK)
    return request
  },
}

export const api = createClient<paths>({baseUrl: location.origin})
api.use(sessionGuard)

interface ApiResult<T> {
  data?: T
  error?: unknown
  response: Response
}

/** The data of an answer; throws `ApiError` when there is none. */
export async function unwrap<T>(call: Promise<ApiResult<T>>): Promise<T> {
  let answer: ApiResult<T>
  try {
    answer = await call
  } catch {
    throw new ApiError('The server cannot be reached. What you typed is still here; try again in a moment.', 0)
  }
  if (!answer.response.ok) {
    const {status} = answer.response
    throw new ApiError(wordsFor(answer.error, status), status, (answer.error as Refusal | undefined)?.errors)
  }
  return answer.data as T
}

interface Refusal {
  errors?: Record<string, string[]>
  message?: string
}

function wordsFor(error: unknown, status: number): string {
  const {errors, message} = (error ?? {}) as Refusal
  if (errors !== undefined) return Object.values(errors).flat().join('\n')
  if (status === 401) return 'You are not logged in any more. Log in again; nothing that was kept is lost.'
  if (status === 403) return 'This belongs to a course that is not yours.'
  if (status === 404 && !message?.startsWith('There')) return 'There is nothing at this address.'
  return message ?? `The server answered with ${status}.`
}
