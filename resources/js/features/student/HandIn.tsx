import {Box, Button, LinearProgress, Link, TextField, Typography} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {FileDrop} from '../../ui/FileDrop'
import {pack, type Parcel, type Placed} from '../../lib/files'
import {sendInParts} from '../../lib/chunkedUpload'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'
import {CheckPaper} from './CheckPaper'
import {useTry} from './useTry'
import {wayOf} from './way'

interface Given {
  parcel: Parcel
  /** what was chosen, in words */
  words: string
}

/** A site is chosen once, tried as often as wanted, and handed in. */
export function HandIn({
  token,
  work,
  onDone,
}: {
  token: string
  work: Schemas['MyAssignment']
  onDone: () => Promise<unknown>
}) {
  const [given, setGiven] = useState<Given | null>(null)
  const [note, setNote] = useState('')
  const [address, setAddress] = useState('')
  const [sent, setSent] = useState(0)
  const send = async ({parcel}: Given) => {
    setSent(0)
    return sendInParts(parcel, wayOf(token, work.id), received => setSent((100 * received) / parcel.bytes.size))
  }
  const words = (parcel: Parcel) => ({
    packed: parcel.packed,
    note,
    address: address.trim() === '' ? null : address.trim(),
  })
  const attempt = useTry(token)
  const tryFirst = (what: Given) => attempt.begin(() => send(what), words(what.parcel))
  const handIn = useMutation({
    mutationFn: async (what: Given) => {
      const upload = await send(what)
      const params = {path: {token, upload}}
      return unwrap(api.POST('/api/my/{token}/uploads/{upload}/hand-in', {params, body: words(what.parcel)}))
    },
    onSuccess: onDone,
  })
  const take = useMutation({
    mutationFn: async (files: Promise<Placed[]>): Promise<Given> => {
      const list = await files
      const parcel = await pack(list)
      return {parcel, words: parcel.packed ? `${many(list.length, 'file')} from ${parcel.name}` : parcel.name}
    },
    onSuccess: what => {
      setGiven(what)
      attempt.stop()
      handIn.reset()
    },
  })
  const busy = attempt.isPending || handIn.isPending
  if (work.refusal !== null)
    return (
      <Typography variant="body1" role="status" sx={{my: 3, color: 'desk.waits'}}>
        {work.refusal}
      </Typography>
    )
  return (
    <Box component="section" aria-labelledby="hand-in" sx={{my: 3}}>
      <Typography variant="h2" id="hand-in" gutterBottom>
        Hand in
      </Typography>
      {work.late && (
        <Typography variant="body1" sx={{color: 'desk.waits', mb: 1}}>
          The due time has passed. You can still hand in, and your hand-in will be marked as late.
        </Typography>
      )}
      <FileDrop
        onFiles={files => take.mutate(files)}
        busy={take.isPending}
        choose={given === null ? 'Choose a zip or files' : 'Choose others'}
      >
        <Typography variant="body1" role="status" sx={{mb: 1, overflowWrap: 'anywhere'}}>
          {given === null ? 'Drop your site here: its folder, its files, or a zip of it.' : `Chosen: ${given.words}.`}
        </Typography>
      </FileDrop>
      <ErrorText error={take.error} />
      {given === null && <ByAddress token={token} work={work} onDone={onDone} />}
      {given !== null && (
        <Box sx={{display: 'grid', gap: 2, mt: 2}}>
          <TextField
            label="Note to your instructor (optional)"
            multiline
            minRows={2}
            value={note}
            onChange={event => setNote(event.target.value)}
          />
          <TextField
            label="Published address (optional)"
            placeholder="https://…"
            value={address}
            onChange={event => setAddress(event.target.value)}
            slotProps={{htmlInput: {inputMode: 'url'}}}
          />
          {busy && sent < 100 && <LinearProgress variant="determinate" value={sent} aria-label="Uploading" />}
          {attempt.isPending && (
            <Typography variant="body2" role="status">
              {sent < 100 ? 'Uploading…' : attempt.words}
            </Typography>
          )}
          <ErrorText error={attempt.error ?? handIn.error} />
          <Box sx={{display: 'flex', flexWrap: 'wrap', gap: 2}}>
            {work.sees !== 'nothing' && (
              <Button variant="outlined" loading={attempt.isPending} disabled={busy} onClick={() => tryFirst(given)}>
                Try it first
              </Button>
            )}
            {attempt.isPending && (
              <Button variant="text" onClick={attempt.stop}>
                Stop
              </Button>
            )}
            <Button
              variant="contained"
              loading={handIn.isPending}
              onClick={() => {
                attempt.stop()
                handIn.mutate(given)
              }}
            >
              Hand it in
            </Button>
          </Box>
          {work.sees !== 'nothing' && (
            <Typography variant="body2" color="textSecondary">
              Trying shows what the check says. Nothing of it is kept, and nobody else sees it.
            </Typography>
          )}
          {attempt.check !== null && <CheckPaper check={attempt.check} />}
        </Box>
      )}
    </Box>
  )
}

/** A site that is published is handed in by its address, and fetched from there. */
function ByAddress({
  token,
  work,
  onDone,
}: {
  token: string
  work: Schemas['MyAssignment']
  onDone: () => Promise<unknown>
}) {
  const [isOpen, setOpen] = useState(false)
  const [address, setAddress] = useState('')
  const [note, setNote] = useState('')
  const send = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST('/api/my/{token}/assignments/{assignment}/address', {
          params: {path: {token, assignment: work.id}},
          body: {address, note},
        }),
      ),
    onSuccess: async () => {
      setAddress('')
      setNote('')
      await onDone()
    },
  })
  if (!isOpen)
    return (
      <Typography variant="body2" sx={{mt: 1}}>
        <Link component="button" underline="always" onClick={() => setOpen(true)}>
          Hand in the address of a published site instead
        </Link>
      </Typography>
    )
  return (
    <Box
      component="form"
      aria-label="By its address"
      noValidate
      sx={{display: 'grid', gap: 2, mt: 2}}
      onSubmit={event => {
        event.preventDefault()
        send.mutate()
      }}
    >
      <TextField
        label="The address of your site"
        placeholder="https://…/"
        value={address}
        onChange={event => setAddress(event.target.value)}
        slotProps={{htmlInput: {inputMode: 'url'}}}
      />
      <TextField
        label="Note to your instructor (optional)"
        multiline
        minRows={2}
        value={note}
        onChange={event => setNote(event.target.value)}
      />
      <ErrorText error={send.error} />
      <Button type="submit" variant="contained" loading={send.isPending} sx={{justifySelf: 'start'}}>
        Hand in this address
      </Button>
    </Box>
  )
}
