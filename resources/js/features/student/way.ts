import {api, unwrap} from '../../api/client'
import type {UploadApi} from '../../lib/chunkedUpload'

/** How a student's files go to the server. */
export const wayOf = (token: string, assignment: string): UploadApi => ({
  begin: (name, bytes) =>
    unwrap(
      api.POST('/api/my/{token}/assignments/{assignment}/uploads', {
        params: {path: {token, assignment}},
        body: {name, bytes},
      }),
    ),
  add: (upload, offset, part) =>
    unwrap(
      api.PUT('/api/my/{token}/uploads/{upload}', {
        params: {path: {token, upload}, query: {offset}},
        body: '',
        bodySerializer: () => part,
        headers: {'Content-Type': 'application/octet-stream'},
      }),
    ),
})
