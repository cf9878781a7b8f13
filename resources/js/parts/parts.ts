import {ApiError, type Schemas} from '../api/client'

type Upload = Schemas['UploadView']

/** So many times in a row a part may fail to arrive; the pauses between come to about two minutes. */
const MOST_FAILURES = 8

/** Bytes: small enough to show how far it is on a slow line. */
const PART = 1_000_000

/** What is asked of the server, by whoever knows the addresses. */
export interface Way {
  begin: (name: string, bytes: number) => Promise<Upload>
  add: (upload: string, offset: number, part: Blob) => Promise<Upload>
}

/**
 * Sends a file in parts. A part that did not arrive is sent again, from where the server says it is.
 *
 * @param onProgress is told bytes that are there
 * @returns the id of the upload, which is whole
 */
export async function sendInParts(
  file: {name: string; bytes: Blob},
  {begin, add}: Way,
  onProgress: (received: number) => void,
  pause: (milliseconds: number) => Promise<void> = sleep,
): Promise<string> {
  const upload = await begin(file.name, file.bytes.size)
  let {received} = upload
  for (let failures = 0; received < file.bytes.size;) {
    const part = file.bytes.slice(received, received + Math.min(PART, upload.part))
    try {
      received = (await add(upload.id, received, part)).received
      failures = 0
      onProgress(received)
    } catch (error) {
      // What the server refuses it will refuse again; what did not reach it may.
      const isRefused = error instanceof ApiError && error.status >= 400 && error.status < 500 && error.status !== 429
      if (isRefused || ++failures > MOST_FAILURES) throw error
      await pause(500 * 2 ** (failures - 1))
    }
  }
  return upload.id
}

const sleep = (milliseconds: number) => new Promise<void>(resolve => setTimeout(resolve, milliseconds))
