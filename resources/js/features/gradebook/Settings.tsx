import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Link,
  MenuItem,
  TextField,
  Typography,
} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import {ErrorText} from '../../ui/Remark'
import {draftOf, settingsOf, type Book, type PartDraft} from './table'

/** How the work of a course comes together: parts, weights, and how many of the best count. */
export function Settings({courseId, book, onClose}: {courseId: string; book: Book; onClose: () => void}) {
  const queries = useQueryClient()
  const [draft, setDraft] = useState(() => draftOf(book))
  const keep = useMutation({
    mutationFn: () =>
      unwrap(api.PUT('/api/courses/{course}/gradebook', {params: {path: {course: courseId}}, body: settingsOf(draft)})),
    onSuccess: async () => {
      await queries.invalidateQueries()
      onClose()
    },
  })
  const drop = useMutation({
    mutationFn: (work: string) =>
      unwrap(api.DELETE('/api/courses/{course}/marks/{work}', {params: {path: {course: courseId, work}}})),
    onSuccess: async () => {
      await queries.invalidateQueries()
      onClose()
    },
  })
  const change = (at: number, part: Partial<PartDraft>) =>
    setDraft({...draft, parts: draft.parts.map((one, index) => (index === at ? {...one, ...part} : one))})
  const remove = (at: number) =>
    setDraft({
      parts: draft.parts.filter((_one, index) => index !== at),
      work: Object.fromEntries(
        Object.entries(draft.work).map(([id, {part, weight}]) => [
          id,
          {part: part === at ? 0 : part > at ? part - 1 : part, weight},
        ]),
      ),
    })
  const hasParts = draft.parts.length > 1
  return (
    <Dialog open onClose={onClose} aria-labelledby="what-counts" maxWidth="md" fullWidth>
      <DialogTitle id="what-counts">What counts</DialogTitle>
      <DialogContent>
        <Typography variant="body2" color="textSecondary" gutterBottom>
          A part is the mean of its work, weighed; the course is the mean of its parts, weighed. What is excused or not
          due yet is left out; what did not come counts as 0.
        </Typography>
        {draft.parts.map((part, at) => (
          <Box key={at} sx={{display: 'flex', alignItems: 'center', gap: 1, mt: 1.5}}>
            <TextField
              label="Part"
              value={part.title}
              onChange={event => change(at, {title: event.target.value})}
              sx={{flex: 1}}
            />
            <TextField
              label="Weight"
              value={part.weight}
              onChange={event => change(at, {weight: event.target.value})}
              sx={{width: '7rem'}}
            />
            <TextField
              label="Only the best"
              slotProps={{inputLabel: {shrink: true}}}
              value={part.best}
              placeholder="all"
              onChange={event => change(at, {best: event.target.value})}
              sx={{width: '9rem'}}
            />
            <Link component="button" variant="body2" disabled={!hasParts} onClick={() => remove(at)}>
              Take out
            </Link>
          </Box>
        ))}
        <Button
          sx={{mt: 1}}
          onClick={() => setDraft({...draft, parts: [...draft.parts, {title: '', weight: '1', best: ''}]})}
        >
          Another part
        </Button>
        <Typography variant="h3" sx={{mt: 2.5}}>
          Work
        </Typography>
        {book.columns.map(column => {
          const piece = draft.work[column.id] ?? {part: 0, weight: '1'}
          const set = (more: Partial<typeof piece>) =>
            setDraft({...draft, work: {...draft.work, [column.id]: {...piece, ...more}}})
          return (
            <Box key={column.id} sx={{display: 'flex', alignItems: 'center', gap: 1, mt: 1}}>
              <Typography variant="body1" sx={{flex: 1}}>
                {column.title}
                {!column.isAssignment && (
                  <Typography variant="body2" component="span" color="textSecondary">
                    {' from elsewhere. '}
                    <Link component="button" variant="body2" underline="always" onClick={() => drop.mutate(column.id)}>
                      Delete it with its marks
                    </Link>
                  </Typography>
                )}
              </Typography>
              {hasParts && (
                <TextField
                  select
                  label={`Part of ${column.title}`}
                  value={Math.min(piece.part, draft.parts.length - 1)}
                  onChange={event => set({part: Number(event.target.value)})}
                  sx={{width: '13rem'}}
                >
                  {draft.parts.map((part, at) => (
                    <MenuItem key={at} value={at}>
                      {part.title === '' ? `part ${at + 1}` : part.title}
                    </MenuItem>
                  ))}
                </TextField>
              )}
              <TextField
                label={`Weight of ${column.title}`}
                value={piece.weight}
                onChange={event => set({weight: event.target.value})}
                sx={{width: '11rem'}}
              />
            </Box>
          )
        })}
        <ErrorText error={keep.error ?? drop.error} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave</Button>
        <Button variant="contained" loading={keep.isPending} onClick={() => keep.mutate()}>
          Keep
        </Button>
      </DialogActions>
    </Dialog>
  )
}
