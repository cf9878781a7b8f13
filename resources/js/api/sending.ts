import {api, unwrap} from './client'
import {pack, type Parcel, type Placed} from '../lib/files'
import {persist, sendInParts, type UploadApi} from '../lib/chunkedUpload'
import {shared} from '../ui/shared'
import {batchesOf, inTurns, nameOf, parcelsOf} from '../lib/parcels'

/** So many files are on their way at the same time. */
const AT_ONCE = 3

/** One of the things that were dropped together, on its way into the tray. */
export interface Sent {
  name: string
  /** bytes, and how many of them are there */
  bytes: number
  received: number
  state: 'waits' | 'on its way' | 'there' | 'failed'
  /** why it did not arrive */
  why?: string
}

export interface Sending {
  isBusy: boolean
  files: Sent[]
}

/**
 * What is on its way, by assignment. It stands beside the screens: a drop goes on while somebody looks at another one,
 * and is found again by who comes back.
 */
const sendings = shared<ReadonlyMap<string, Sending>>(new Map())

const tell = (assignment: string, sending: Sending) => sendings.set(new Map([...sendings.get(), [assignment, sending]]))

export const useSending = (assignment: string) => sendings.usePart(all => all.get(assignment))

const isAny = (all: ReadonlyMap<string, Sending>) => [...all.values()].some(({isBusy}) => isBusy)

/** Whether anything is on its way, to whichever assignment. */
export const useAnySending = () => sendings.usePart(isAny)

// What has not been sent goes with the page: whoever closes it is asked first.
window.addEventListener('beforeunload', event => {
  if (isAny(sendings.get())) event.preventDefault()
})

/** Sends what was dropped together; `onArrived` is called whenever some of it is in the tray. */
export async function send(assignment: string, dropped: Placed[], onArrived: () => void): Promise<void> {
  const groups = parcelsOf(dropped)
  if (groups.length === 0) throw new Error('There is no file in what was dropped.')
  const drop = crypto.randomUUID()
  const before = filesOf(assignment, true)
  const fresh = groups.map((group): Sent => ({name: nameOf(group), bytes: sizeOf(group), received: 0, state: 'waits'}))
  tell(assignment, {isBusy: true, files: [...before, ...fresh]})
  const place = new Map(groups.map((group, at) => [group, before.length + at]))
  const change = (group: Placed[], to: Partial<Sent>) => {
    const at = place.get(group)
    const files = filesOf(assignment).map((one, nth) => (nth === at ? {...one, ...to} : one))
    tell(assignment, {isBusy: true, files})
  }
  await inTurns(batchesOf(groups), AT_ONCE, async batch => {
    for (const group of batch) change(group, {state: 'on its way'})
    try {
      const parcels = await Promise.all(batch.map(pack))
      const [group, parcel] = [batch[0], parcels[0]]
      if (parcels.length === 1 && group !== undefined && parcel !== undefined) {
        change(group, {bytes: parcel.bytes.size})
        await sendAlone(assignment, parcel, drop, received => change(group, {received}))
      } else await sendTogether(assignment, parcels, drop)
      for (const one of batch) change(one, {state: 'there', received: sizeOf(one)})
      onArrived()
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error)
      for (const one of batch) change(one, {state: 'failed', why})
    }
  })
  const files = filesOf(assignment)
  tell(assignment, {isBusy: files.some(({state}) => state === 'waits' || state === 'on its way'), files})
}

/** What was dropped on an assignment before; only what is still being sent, where that is asked for. */
const filesOf = (assignment: string, isBusy?: true): Sent[] => {
  const sending = sendings.get().get(assignment)
  return sending === undefined || (isBusy && !sending.isBusy) ? [] : sending.files
}

const sizeOf = (group: Placed[]) => group.reduce((bytes, {file}) => bytes + file.size, 0)

const wayOf = (assignment: string): UploadApi => ({
  begin: (name, bytes) =>
    unwrap(api.POST('/api/assignments/{assignment}/uploads', {params: {path: {assignment}}, body: {name, bytes}})),
  add: (upload, offset, part) =>
    unwrap(
      api.PUT('/api/uploads/{upload}', {
        params: {path: {upload}, query: {offset}},
        body: '',
        bodySerializer: () => part,
        headers: {'Content-Type': 'application/octet-stream'},
      }),
    ),
})

async function sendAlone(assignment: string, parcel: Parcel, drop: string, onProgress: (received: number) => void) {
  const upload = await sendInParts(parcel, wayOf(assignment), onProgress)
  const body = {packed: parcel.packed, drop}
  await unwrap(api.POST('/api/uploads/{upload}/arrival', {params: {path: {upload}}, body}))
}

/** Small files in one request. What comes twice because an answer was lost is the same file, and adds nothing. */
async function sendTogether(assignment: string, parcels: Parcel[], drop: string) {
  const {taken} = await persist(() =>
    unwrap(
      api.POST('/api/assignments/{assignment}/arrivals', {
        params: {path: {assignment}},
        body: {},
        bodySerializer: () => {
          const form = new FormData()
          form.append('drop', drop)
          for (const {name, bytes, packed} of parcels) {
            form.append('files[]', bytes, name)
            form.append('packed[]', packed ? '1' : '0')
          }
          return form
        },
      }),
    ),
  )
  if (taken !== parcels.length) throw new Error(`The server took ${taken} of ${parcels.length} files. Drop them again.`)
}
