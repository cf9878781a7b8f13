import {Box, LinearProgress, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import {arrivals} from '../../api/queries'
import {FileDrop} from '../../parts/FileDrop'
import {pack, type Parcel, type Placed} from '../../parts/files'
import {persist, sendInParts, type Way} from '../../parts/parts'
import {ErrorText} from '../../parts/Remark'
import {many} from '../../parts/when'
import {batchesOf, inTurns, parcelsOf} from './parcels'

/** So many files are on their way at the same time. */
const AT_ONCE = 3

const wayOf = (assignment: string): Way => ({
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

/** Small files in one request. */
const sendTogether = (assignment: string, parcels: Parcel[], drop: string) =>
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
  )

interface Sending {
  /** how many parcels there are, and how many are in the tray */
  all: number
  done: number
  /** bytes of those whose size is known, and of these how many are there */
  bytes: number
  received: number
  /** why some did not arrive, by name */
  failed: string[]
}

/** Where anything is dropped: zips, folders, loose files, the archive of a class, or all of them at once. */
export function Drop({assignmentId}: {assignmentId: string}) {
  const queries = useQueryClient()
  const [sending, setSending] = useState<Sending | null>(null)
  const refresh = () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey})
  const drop = useMutation({
    mutationFn: async (taken: Promise<Placed[]>) => {
      const groups = parcelsOf(await taken)
      if (groups.length === 0) throw new Error('There is no file in what was dropped.')
      const id = crypto.randomUUID()
      setSending({all: groups.length, done: 0, bytes: 0, received: 0, failed: []})
      const add = (change: Partial<Record<'done' | 'bytes' | 'received', number>>, failure?: string) =>
        setSending(
          now =>
            now && {
              ...now,
              done: now.done + (change.done ?? 0),
              bytes: now.bytes + (change.bytes ?? 0),
              received: now.received + (change.received ?? 0),
              failed: failure === undefined ? now.failed : [...now.failed, failure],
            },
        )
      const way = wayOf(assignmentId)
      const alone = async (parcel: Parcel) => {
        let there = 0
        const upload = await sendInParts(parcel, way, received => {
          add({received: received - there})
          there = received
        })
        const body = {packed: parcel.packed, drop: id}
        await unwrap(api.POST('/api/uploads/{upload}/arrival', {params: {path: {upload}}, body}))
      }
      const together = async (parcels: Parcel[]) => {
        // What came twice because an answer was lost is the same file, and adds nothing.
        const {taken} = await persist(() => sendTogether(assignmentId, parcels, id))
        if (taken !== parcels.length)
          throw new Error(`The server took ${taken} of ${parcels.length} files. Drop them again.`)
        for (const {bytes} of parcels) add({received: bytes.size})
      }
      await inTurns(batchesOf(groups), AT_ONCE, async batch => {
        const parcels = await Promise.all(batch.map(pack))
        for (const {bytes} of parcels) add({bytes: bytes.size})
        const [first] = parcels
        try {
          await (parcels.length === 1 && first !== undefined ? alone(first) : together(parcels))
          add({done: parcels.length})
          void refresh()
        } catch (error) {
          const why = error instanceof Error ? error.message : String(error)
          for (const {name} of parcels) add({}, `${name}: ${why}`)
        }
      })
    },
    onSettled: refresh,
  })
  return (
    <Box sx={{mb: 4}}>
      <FileDrop
        onFiles={files => drop.mutate(files)}
        busy={drop.isPending}
        choose="Choose files"
        testId="zips"
        keyName="o"
        after={
          <>
            <ErrorText error={drop.error} />
            {sending !== null && <Progress sending={sending} isBusy={drop.isPending} />}
          </>
        }
      >
        <Typography variant="body1">Drop hand-ins here: zips, folders, or one zip of the whole class.</Typography>
        <Typography variant="body2" color="textSecondary" gutterBottom>
          Each is unpacked, matched to a student by its names, and checked while you watch.
        </Typography>
      </FileDrop>
    </Box>
  )
}

function Progress({sending: {all, done, bytes, received, failed}, isBusy}: {sending: Sending; isBusy: boolean}) {
  return (
    <Box sx={{mt: 2}}>
      {isBusy && (
        <LinearProgress
          variant="determinate"
          aria-label="On the way"
          value={bytes === 0 ? 0 : (100 * received) / bytes}
          sx={{maxWidth: 420, mx: 'auto', mb: 1}}
        />
      )}
      <Typography variant="body2" role="status">
        {isBusy ? `${done} of ${many(all, 'file')} in the tray…` : `${many(done, 'file')} taken.`}
      </Typography>
      {failed.map(line => (
        <Typography key={line} role="alert" variant="body2" sx={{color: 'desk.fault'}}>
          {line}
        </Typography>
      ))}
    </Box>
  )
}
