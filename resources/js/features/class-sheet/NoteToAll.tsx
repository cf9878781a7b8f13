import {Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography} from '@mui/material'
import {useState} from 'react'
import {ErrorText} from '../../ui/Remark'

type Kind = 'note' | 'question'

/** One note, written at each of the places. */
export function NoteToAll({
  reach,
  isPending,
  onWrite,
}: {
  reach: string
  isPending: boolean
  onWrite: (kind: Kind, words: string) => Promise<unknown>
}) {
  const [isOpen, setOpen] = useState(false)
  const [kind, setKind] = useState<Kind>('note')
  const [words, setWords] = useState('')
  const [error, setError] = useState<Error | null>(null)
  const keep = async () => {
    try {
      await onWrite(kind, words)
      setOpen(false)
      setWords('')
      setError(null)
    } catch (failure) {
      setError(failure instanceof Error ? failure : new Error(String(failure)))
    }
  }
  return (
    <>
      <Button onClick={() => setOpen(true)}>Add a note to {reach}…</Button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} aria-labelledby="note-to-all" maxWidth="sm" fullWidth>
        <DialogTitle id="note-to-all">A note to {reach}</DialogTitle>
        <DialogContent sx={{display: 'grid', gap: 2}}>
          <Typography variant="body2" color="textSecondary">
            It stands at each place, once a line, and can be changed on each desk. Markdown works.
          </Typography>
          <TextField
            select
            label="It"
            value={kind}
            onChange={event => setKind(event.target.value === 'question' ? 'question' : 'note')}
            sx={{width: 220, mt: 0.5}}
          >
            <MenuItem value="note">says what to do</MenuItem>
            <MenuItem value="question">asks a question</MenuItem>
          </TextField>
          <TextField
            label="Note"
            value={words}
            onChange={event => setWords(event.target.value)}
            multiline
            minRows={4}
            autoFocus
          />
          <ErrorText error={error} />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Leave</Button>
          <Button variant="contained" disabled={words.trim() === ''} loading={isPending} onClick={() => void keep()}>
            Write it
          </Button>
        </DialogActions>
      </Dialog>
    </>
  )
}
