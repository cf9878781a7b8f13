import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
  Typography,
} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useRef, useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {ErrorText} from '../../ui/Remark'
import {RuledTable} from '../../ui/RuledTable'
import {many} from '../../lib/when'
import {typedNumber} from '../../lib/numbers'

type Preview = Schemas['ImportPreview']

const IS: Record<Schemas['ImportColumn']['is'], string> = {
  assignment: 'an assignment: points by hand',
  elsewhere: 'work from elsewhere',
  new: 'new work from elsewhere',
}

/** Marks from elsewhere: told column by column, and kept only then. */
export function Import({courseId, onClose}: {courseId: string; onClose: () => void}) {
  const [pasted, setPasted] = useState('')
  const [from, setFrom] = useState('')
  const file = useRef<HTMLInputElement>(null)
  const path = {course: courseId}
  const look = useMutation({
    mutationFn: (given: File | string) => {
      if (typeof given === 'string')
        return unwrap(api.POST('/api/courses/{course}/marks/preview', {params: {path}, body: {text: given}}))
      const body = new FormData()
      body.set('file', given)
      return unwrap(
        api.POST('/api/courses/{course}/marks/preview', {
          params: {path},
          body: {file: given.name},
          bodySerializer: () => body,
        }),
      )
    },
  })
  return (
    <Dialog open onClose={onClose} aria-labelledby="take-in-marks" maxWidth="md" fullWidth>
      <DialogTitle id="take-in-marks">Marks from elsewhere</DialogTitle>
      {look.data === undefined ? (
        <>
          <DialogContent>
            <Typography variant="body2" color="textSecondary" gutterBottom>
              A line for each student, with a name, handle or e-mail address; a column for each piece of work, headed
              like <em>Class test (20)</em>. CSV, XLSX or OpenDocument.
            </Typography>
            <TextField
              label="Paste from a spreadsheet"
              value={pasted}
              onChange={event => setPasted(event.target.value)}
              multiline
              minRows={6}
              maxRows={14}
              fullWidth
              sx={{mt: 1}}
            />
            <input
              ref={file}
              type="file"
              hidden
              aria-label="A file with marks"
              data-testid="marks"
              onChange={event => {
                const given = event.target.files?.[0]
                if (given === undefined) return
                setFrom(given.name)
                look.mutate(given)
              }}
            />
            <ErrorText error={look.error} />
          </DialogContent>
          <DialogActions>
            <Button onClick={onClose}>Leave</Button>
            <Button onClick={() => file.current?.click()}>Choose a file</Button>
            <Button
              variant="contained"
              disabled={pasted.trim() === ''}
              loading={look.isPending}
              onClick={() => look.mutate(pasted)}
            >
              Read it
            </Button>
          </DialogActions>
        </>
      ) : (
        <Understood courseId={courseId} preview={look.data} from={from} onBack={() => look.reset()} onClose={onClose} />
      )}
    </Dialog>
  )
}

interface Taking {
  isTaken: boolean
  title: string
  possible: string
}

function Understood({
  courseId,
  preview,
  from,
  onBack,
  onClose,
}: {
  courseId: string
  preview: Preview
  from: string
  onBack: () => void
  onClose: () => void
}) {
  const queries = useQueryClient()
  const [taking, setTaking] = useState<Taking[]>(() =>
    preview.columns.map(({title, possible, changes}) => ({
      isTaken: changes > 0,
      title,
      possible: possible === null ? '' : String(possible),
    })),
  )
  const keep = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST('/api/courses/{course}/marks', {
          params: {path: {course: courseId}},
          body: {
            text: preview.text,
            from,
            columns: preview.columns.flatMap(({at}, index) => {
              const one = taking[index]
              return one?.isTaken === true ? [{at, title: one.title.trim(), possible: typedNumber(one.possible)}] : []
            }),
          },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries()
      onClose()
    },
  })
  const set = (index: number, more: Partial<Taking>) =>
    setTaking(old => old.map((one, other) => (other === index ? {...one, ...more} : one)))
  const taken = taking.filter(one => one.isTaken)
  const isReady =
    taken.length > 0 && taken.every(({title, possible}) => title.trim() !== '' && typedNumber(possible) > 0)
  return (
    <>
      <DialogContent>
        <Typography variant="body1">
          {many(preview.students, 'student')} found, {many(preview.columns.length, 'column')} of marks.
        </Typography>
        {preview.nobody.length > 0 && (
          <Typography variant="body2" sx={{color: 'desk.waits', whiteSpace: 'pre-line'}}>
            {`Nobody on the roster:\n${preview.nobody.join('\n')}`}
          </Typography>
        )}
        <RuledTable caption="Columns" heads={['Take', 'Work', 'Points', 'It is', 'Would change']}>
          {preview.columns.map((column, index) => {
            const one = taking[index]
            return (
              <tr key={column.at}>
                <td>
                  <Checkbox
                    size="small"
                    sx={{p: 0.25}}
                    checked={one?.isTaken ?? false}
                    onChange={(_event, isTaken) => set(index, {isTaken})}
                    slotProps={{input: {'aria-label': `Take ${column.title}`}}}
                  />
                </td>
                <td>
                  <TextField
                    variant="standard"
                    value={one?.title ?? ''}
                    disabled={column.is !== 'new'}
                    onChange={event => set(index, {title: event.target.value})}
                    slotProps={{htmlInput: {'aria-label': `Name of column ${column.at + 1}`}}}
                  />
                </td>
                <td>
                  <TextField
                    variant="standard"
                    value={one?.possible ?? ''}
                    disabled={column.is !== 'new'}
                    onChange={event => set(index, {possible: event.target.value})}
                    slotProps={{htmlInput: {'aria-label': `Points of ${column.title}`}}}
                    sx={{width: '5rem'}}
                  />
                </td>
                <td>{IS[column.is]}</td>
                <td>
                  {many(column.changes, 'student')}
                  {column.same > 0 && `, ${column.same} stay`}
                  {column.unreadable.length > 0 && (
                    <Box sx={{color: 'desk.waits'}}>not read: {column.unreadable.join(', ')}</Box>
                  )}
                </td>
              </tr>
            )
          })}
        </RuledTable>
        {!isReady && taken.length > 0 && (
          <Typography variant="body2" role="status" sx={{color: 'desk.waits', mt: 1}}>
            Each column needs a name, and the points that can be had.
          </Typography>
        )}
        <ErrorText error={keep.error} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onBack}>Back</Button>
        <Button variant="contained" disabled={!isReady} loading={keep.isPending} onClick={() => keep.mutate()}>
          Take {many(taken.length, 'column')}
        </Button>
      </DialogActions>
    </>
  )
}
