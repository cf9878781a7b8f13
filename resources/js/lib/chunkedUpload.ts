import {ApiError} from './apiError'
import type {Schemas} from './schemas'

type Upload = Schemas['UploadView']

/** So many times in a row a part may fail to arrive; the pauses between come to about two minutes. */
const MAX_FAILURES = 8

/** Bytes: small enough to show how far it is on a slow line. */
const PART = 1_000_000

/** What is asked of the server, by whoever knows the addresses. */
export interface UploadApi {
  begin: (name: string, bytes: number) => Promise<Upload>
  add: (upload: string, offset: number, part: Blob) => Promise<Upload>
}

/**
 * Sends a file in parts. A part that did not arrive is sent again, from where the server says it is.
 *
 * @param onProgress called with the number of bytes the server has
 * @returns the id of the upload, which is whole
 */
export async function sendInParts(
  file: {name: string; bytes: Blob},
  {begin, add}: UploadApi,
  onProgress: (received: number) => void,
  pause: (milliseconds: number) => Promise<void> = sleep,
): Promise<string> {
  const upload = await begin(file.name, file.bytes.size)
  let {received} = upload
  while (received < file.bytes.size) {
    const from = received
    const part = file.bytes.slice(from, from + Math.min(PART, upload.part))
    received = (await persist(() => add(upload.id, from, part), pause)).received
    onProgress(received)
  }
  return upload.id
}

/**
 * Asks again, after longer and longer pauses, for what did not reach the server. What it refuses it will refuse again.
 */
export async function persist<T>(
  call: () => Promise<T>,
  pause: (milliseconds: number) => Promise<void> = sleep,
): Promise<T> {
  for (let failures = 1; ; failures++) {
    try {
      return await call()
    } catch (error) {
      const isRefused = error instanceof ApiError && error.status >= 400 && error.status < 500 && error.status !== 429
      if (isRefused || failures > MAX_FAILURES) throw error
      await pause(500 * 2 ** (failures - 1))
    }
  }
}

const sleep = (milliseconds: number) => new Promise<void>(resolve => setTimeout(resolve, milliseconds))
