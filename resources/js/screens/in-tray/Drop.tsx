import {Box, Button, LinearProgress, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useRef, useState, type ChangeEvent, type DragEvent} from 'react'
import {api, unwrap} from '../../api/client'
import {arrivals} from '../../api/queries'
import {chosen, dropped, type Placed} from '../../parts/files'
import {useKeys} from '../../parts/keys'
import {sendInParts, type Way} from '../../parts/parts'
import {ErrorText} from '../../parts/Remark'
import {many} from '../../parts/when'
import {inTurns, parcelsOf} from './parcels'

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

interface Sending {
  drop: string
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
  const [over, setOver] = useState(false)
  const files = useRef<HTMLInputElement>(null)
  const folder = useRef<HTMLInputElement>(null)
  const queries = useQueryClient()
  const [sending, setSending] = useState<Sending | null>(null)
  const refresh = () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey})
  const drop = useMutation({
    mutationFn: async (taken: Promise<Placed[]>) => {
      const groups = parcelsOf(await taken)
      if (groups.length === 0) throw new Error('There is no file in what was dropped.')
      const id = crypto.randomUUID()
      setSending({drop: id, all: groups.length, done: 0, bytes: 0, received: 0, failed: []})
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
      await inTurns(groups, AT_ONCE, async parcel => {
        add({bytes: parcel.bytes.size})
        let there = 0
        try {
          const upload = await sendInParts(parcel, way, received => {
            add({received: received - there})
            there = received
          })
          const body = {packed: parcel.packed, drop: id}
          await unwrap(api.POST('/api/uploads/{upload}/arrival', {params: {path: {upload}}, body}))
          add({done: 1})
          void refresh()
        } catch (error) {
          add({}, `${parcel.name}: ${error instanceof Error ? error.message : String(error)}`)
        }
      })
    },
    onSettled: refresh,
  })
  const back = useMutation({
    mutationFn: (id: string) =>
      unwrap(
        api.DELETE('/api/assignments/{assignment}/drops/{drop}', {
          params: {path: {assignment: assignmentId, drop: id}},
        }),
      ),
    onSuccess: () => {
      setSending(null)
      drop.reset()
    },
    onSettled: () => queries.invalidateQueries(),
  })
  useKeys([{key: 'o', does: 'choose files', run: () => files.current?.click()}])
  const take = (event: ChangeEvent<HTMLInputElement>) => {
    const list = chosen(event.target.files)
    event.target.value = ''
    if (list.length > 0) drop.mutate(Promise.resolve(list))
  }
  return (
    <Box
      onDragOver={event => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault()
        setOver(false)
        drop.mutate(dropped(event.dataTransfer))
      }}
      sx={{
        border: 2,
        borderStyle: over ? 'solid' : 'dashed',
        borderColor: over ? 'desk.ink' : 'desk.rule',
        bgcolor: 'desk.sheet',
        p: 3.5,
        mb: 4,
        textAlign: 'center',
      }}
    >
      <Typography variant="body1">Drop hand-ins here: zips, folders, or one zip of the whole class.</Typography>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        Each is unpacked, matched to a student by its names, and checked while you watch.
      </Typography>
      <Box sx={{display: 'flex', gap: 1.5, justifyContent: 'center'}}>
        <Button variant="outlined" loading={drop.isPending} onClick={() => files.current?.click()}>
          Choose files
        </Button>
        <Button disabled={drop.isPending} onClick={() => folder.current?.click()}>
          Choose a folder
        </Button>
      </Box>
      <input ref={files} type="file" multiple hidden data-testid="zips" onChange={take} />
      <input
        ref={element => {
          folder.current = element
          // React does not know this attribute, which every browser at a desk does.
          element?.setAttribute('webkitdirectory', '')
        }}
        type="file"
        hidden
        aria-label="A folder"
        onChange={take}
      />
      <ErrorText error={drop.error ?? back.error} />
      {sending !== null && (
        <Progress
          sending={sending}
          isBusy={drop.isPending}
          taking={back.isPending}
          onBack={() => back.mutate(sending.drop)}
        />
      )}
      {back.data !== undefined && sending === null && (
        <Typography variant="body2" role="status" sx={{mt: 1}}>
          {many(back.data.gone, 'file')} taken back.
          {back.data.kept > 0 && ` ${many(back.data.kept, 'hand-in')} stayed, as somebody has written to them.`}
        </Typography>
      )}
    </Box>
  )
}

function Progress({
  sending: {all, done, bytes, received, failed},
  isBusy,
  taking,
  onBack,
}: {
  sending: Sending
  isBusy: boolean
  taking: boolean
  onBack: () => void
}) {
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
        {isBusy ? `${done} of ${many(all, 'file')} in the tray…` : `${many(done, 'file')} taken.`}{' '}
        {!isBusy && done > 0 && (
          <Link component="button" underline="always" disabled={taking} onClick={onBack}>
            Take this drop back
          </Link>
        )}
      </Typography>
      {failed.map(line => (
        <Typography key={line} role="alert" variant="body2" sx={{color: 'desk.fault'}}>
          {line}
        </Typography>
      ))}
    </Box>
  )
}
