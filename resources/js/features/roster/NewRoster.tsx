import {Box, Button, Checkbox, FormControlLabel, Link, NativeSelect, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState, type DragEvent} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course} from '../../api/courses'
import {Coded} from '../../ui/Coded'
import {ErrorText} from '../../ui/Remark'
import {RuledTable} from '../../ui/RuledTable'
import {inShort} from './words'

type Preview = Schemas['RosterPreview']
type Column = Preview['columns'][number]

const COLUMNS: Record<Column, string> = {
  name: 'whole name',
  first: 'first name',
  last: 'last name',
  handle: 'handle',
  email: 'e-mail',
  group: 'group',
  other: 'nothing of use',
}

const STATES: Record<Schemas['RosterLine']['state'], string> = {
  new: 'new',
  changed: 'changed',
  back: 'back again',
  same: 'as it is',
  doubled: 'doubled',
  unreadable: 'not read',
}

/** Lines that are drawn; what is beyond them is counted. */
const MAX_SHOWN = 200

/** A roster from a spreadsheet: shown line by line as it was understood, and kept only then. */
export function NewRoster({courseId, onDone}: {courseId: string; onDone: () => void}) {
  const [pasted, setPasted] = useState('')
  const path = {course: courseId}
  const look = useMutation({
    mutationFn: (given: Partial<Schemas['RosterRequest']> & {text: string}) =>
      unwrap(
        api.POST('/api/courses/{course}/roster/preview', {
          params: {path},
          body: {columns: null, heading: null, setAside: null, ...given},
        }),
      ),
  })
  const lookAtFile = useMutation({
    mutationFn: (file: File) => {
      const body = new FormData()
      body.set('file', file)
      return unwrap(
        api.POST('/api/courses/{course}/roster/preview', {
          params: {path},
          // The bytes are sent as they are, in whichever encoding.
          body: {file: file.name},
          bodySerializer: () => body,
        }),
      )
    },
    onSuccess: ({text}) => look.mutate({text}),
  })
  const take = (file: File | undefined) => {
    if (file !== undefined) lookAtFile.mutate(file)
  }
  const drop = (event: DragEvent) => {
    event.preventDefault()
    take(event.dataTransfer.files[0])
  }
  if (look.data !== undefined) {
    return (
      <Understood
        courseId={courseId}
        preview={look.data}
        onCorrect={(columns, heading) => look.mutate({text: look.data.text, columns, heading})}
        onBack={() => look.reset()}
        onDone={onDone}
      />
    )
  }
  return (
    <Box
      component="form"
      aria-label="A roster"
      onDragOver={(event: DragEvent) => event.preventDefault()}
      onDrop={drop}
      onSubmit={event => {
        event.preventDefault()
        look.mutate({text: pasted})
      }}
      sx={{mt: 2, maxWidth: 760}}
    >
      <TextField
        label="Paste from a spreadsheet, or drop a CSV here"
        multiline
        fullWidth
        minRows={7}
        maxRows={16}
        autoFocus
        value={pasted}
        onChange={event => setPasted(event.target.value)}
        helperText="A line for each student: name and handle, and e-mail and group where there are any, in whichever order."
      />
      <ErrorText error={look.error ?? lookAtFile.error} />
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, mt: 1}}>
        <Button type="submit" variant="contained" loading={look.isPending || lookAtFile.isPending}>
          See what it says
        </Button>
        <Link component="label" variant="body2" sx={{cursor: 'pointer', '&:focus-within': {outline: 2}}}>
          Take a file
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv,text/plain"
            className="unseen"
            onChange={event => take(event.target.files?.[0])}
          />
        </Link>
        <Button onClick={onDone}>Leave</Button>
      </Box>
    </Box>
  )
}

/** What was understood of a roster; its columns can be corrected. */
function Understood({
  courseId,
  preview,
  onCorrect,
  onBack,
  onDone,
}: {
  courseId: string
  preview: Preview
  onCorrect: (columns: Column[], heading: boolean) => void
  onBack: () => void
  onDone: () => void
}) {
  const [setAside, setSetAside] = useState<string[]>([])
  const queries = useQueryClient()
  const {text, columns, samples, heading, lines, gone} = preview
  const keep = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT('/api/courses/{course}/roster', {
          params: {path: {course: courseId}},
          body: {text, columns, heading, setAside},
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({queryKey: course(courseId).queryKey})
      onDone()
    },
  })
  const telling = lines.filter(({state}) => state !== 'same')
  return (
    <Box component="section" aria-label="What the roster says" sx={{mt: 2}}>
      <Typography variant="body1" role="status">
        {inShort(lines)}
      </Typography>
      <Box sx={{display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 3, rowGap: 1, my: 1.5}}>
        {columns.map((column, index) => (
          <Typography key={index} variant="body2" color="textSecondary" component="label">
            {samples[index] === '' ? `Column ${index + 1}` : `“${samples[index] ?? ''}”`} is{' '}
            <NativeSelect
              value={column}
              onChange={event =>
                onCorrect(
                  columns.map((one, at) => (at === index ? (event.target.value as Column) : one)),
                  heading,
                )
              }
              sx={{fontSize: 'inherit', verticalAlign: 'baseline'}}
            >
              {Object.entries(COLUMNS).map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </NativeSelect>
          </Typography>
        ))}
        <FormControlLabel
          control={
            <Checkbox size="small" checked={heading} onChange={event => onCorrect(columns, event.target.checked)} />
          }
          label={<Typography variant="body2">The first line names the columns</Typography>}
        />
      </Box>
      {telling.length > 0 && (
        <RuledTable caption="Lines" heads={['Line', '', 'Name', 'Handle', 'E-mail', 'Group', '']}>
          {telling.slice(0, MAX_SHOWN).map(line => (
            <tr key={line.line}>
              <td>{line.line}</td>
              <Box
                component="td"
                sx={{whiteSpace: 'nowrap', color: line.state === 'unreadable' ? 'desk.fault' : undefined}}
              >
                {STATES[line.state]}
              </Box>
              <th scope="row">{line.name}</th>
              <td>{line.handle}</td>
              <td>{line.email}</td>
              <td>{line.group}</td>
              <td>
                <Coded>{line.says}</Coded>
              </td>
            </tr>
          ))}
        </RuledTable>
      )}
      {telling.length > MAX_SHOWN && (
        <Typography variant="body2" color="textSecondary">
          and {telling.length - MAX_SHOWN} lines more
        </Typography>
      )}
      {gone.length > 0 && (
        <Box sx={{mt: 2}}>
          <Typography variant="body1">
            On no line any more. Whoever left is set aside, and loses nothing:{' '}
            <Link component="button" variant="body2" onClick={() => setSetAside(gone.map(({id}) => id))}>
              all of them
            </Link>
          </Typography>
          {gone.map(({id, name}) => (
            <FormControlLabel
              key={id}
              control={
                <Checkbox
                  size="small"
                  checked={setAside.includes(id)}
                  onChange={event =>
                    setSetAside(event.target.checked ? [...setAside, id] : setAside.filter(one => one !== id))
                  }
                />
              }
              label={<Typography variant="body2">Set {name} aside</Typography>}
            />
          ))}
        </Box>
      )}
      <ErrorText error={keep.error} />
      <Box sx={{display: 'flex', gap: 2, mt: 2}}>
        <Button variant="contained" loading={keep.isPending} onClick={() => keep.mutate()}>
          Keep this roster
        </Button>
        <Button onClick={onBack}>Paste another</Button>
        <Button onClick={onDone}>Leave it as it was</Button>
      </Box>
    </Box>
  )
}
