import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Link,
  MenuItem,
  TextField,
  Typography,
} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {extensionInWords} from '../../ui/ExtensionNote'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'

type View = Schemas['AssignmentView']

/** Who has more time, need not be in time, or is excused. Students see their own due time, and never the reason. */
export function Extensions({data}: {data: View}) {
  const [isOpen, setOpen] = useState(false)
  const mayChange = data.role === 'instructor'
  if (data.extensions.length === 0 && !mayChange) return null
  return (
    <Box component="section" aria-labelledby="extensions" sx={{mt: 4}}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
        <Typography variant="h2" id="extensions" gutterBottom sx={{flex: 1}}>
          Extensions
        </Typography>
        {mayChange && data.students.length > 0 && (
          <Link component="button" variant="body2" onClick={() => setOpen(true)}>
            Add an extension
          </Link>
        )}
      </Box>
      {data.extensions.length === 0 ? (
        <Typography variant="body2" color="textSecondary">
          Everyone has the same due time.
        </Typography>
      ) : (
        data.extensions.map(one => (
          <Line key={one.studentId ?? `group ${one.group}`} extension={one} data={data} mayChange={mayChange} />
        ))
      )}
      {isOpen && <Adding data={data} onClose={() => setOpen(false)} />}
    </Box>
  )
}

function Line({extension, data, mayChange}: {extension: Schemas['ExtensionView']; data: View; mayChange: boolean}) {
  const queries = useQueryClient()
  const {id, studentId, excused, name, handle, group, reason} = extension
  const remove = useMutation({
    mutationFn: async () => {
      if (id !== null) await unwrap(api.DELETE('/api/extensions/{extension}', {params: {path: {extension: id}}}))
      if (excused && studentId !== null) {
        const path = {student: studentId, work: data.id}
        await unwrap(api.DELETE('/api/students/{student}/grades/{work}', {params: {path}}))
      }
    },
    onSuccess: () => queries.invalidateQueries(),
  })
  // What a student has as one of a group is changed at the group.
  const isOwn = id !== null || excused
  return (
    <Box sx={{display: 'flex', gap: 2, py: 0.75, borderTop: 1, borderColor: 'divider', alignItems: 'baseline'}}>
      <Typography variant="body1" sx={{flex: '0 0 16rem', overflowWrap: 'anywhere'}}>
        {name}
        {handle !== '' && (
          <Typography variant="body2" component="span" color="textSecondary">
            {' '}
            {handle}
          </Typography>
        )}
      </Typography>
      <Typography variant="body2" sx={{flex: 1}}>
        {extensionInWords(extension, data.timeZone)}
        {studentId !== null && group !== null && `, as one of group ${group}`}
        <Typography variant="body2" component="span" color="textSecondary">
          . Reason: {reason}
        </Typography>
      </Typography>
      <ErrorText error={remove.error} />
      {mayChange && isOwn && (
        <Button size="small" loading={remove.isPending} onClick={() => remove.mutate()}>
          Remove
        </Button>
      )}
    </Box>
  )
}

function Adding({data, onClose}: {data: View; onClose: () => void}) {
  const queries = useQueryClient()
  const [whose, setWhose] = useState('')
  const [due, setDue] = useState('')
  const [waived, setWaived] = useState(false)
  const [excused, setExcused] = useState(false)
  const [reason, setReason] = useState('')
  const isGroup = whose.startsWith('group:')
  const save = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT('/api/assignments/{assignment}/extensions', {
          params: {path: {assignment: data.id}},
          body: {
            ...(isGroup ? {group: whose.slice('group:'.length)} : {student: whose}),
            due: due === '' ? null : due,
            waived,
            excused: excused && !isGroup,
            reason,
          },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries()
      onClose()
    },
  })
  const isReady = whose !== '' && reason.trim() !== '' && (due !== '' || waived || (excused && !isGroup))
  return (
    <Dialog open onClose={onClose} aria-labelledby="extension-title" maxWidth="sm" fullWidth>
      <form
        onSubmit={event => {
          event.preventDefault()
          save.mutate()
        }}
      >
        <DialogTitle id="extension-title">Add an extension</DialogTitle>
        <DialogContent sx={{display: 'grid', gap: 2, '&&': {pt: 1}}}>
          <TextField
            select
            label="Student or group"
            value={whose}
            onChange={event => setWhose(event.target.value)}
            helperText={`One of ${many(data.students.length, 'student')}, or a whole group`}
          >
            {data.groups.map(group => (
              <MenuItem key={`group ${group}`} value={`group:${group}`}>
                Group {group}
              </MenuItem>
            ))}
            {data.students.map(student => (
              <MenuItem key={student.id} value={student.id}>
                {student.name}{' '}
                <Typography variant="body2" component="span" color="textSecondary" sx={{ml: 1}}>
                  {student.handle}
                </Typography>
              </MenuItem>
            ))}
          </TextField>
          <TextField
            type="datetime-local"
            label="New due time"
            value={due}
            onChange={event => setDue(event.target.value)}
            helperText={`By the clock of the course, ${data.timeZone}. Leave it empty to keep that of the class.`}
            slotProps={{inputLabel: {shrink: true}}}
          />
          <Box>
            <FormControlLabel
              control={<Checkbox size="small" checked={waived} onChange={event => setWaived(event.target.checked)} />}
              label="Lateness does not count"
            />
            <FormControlLabel
              disabled={isGroup}
              control={
                <Checkbox
                  size="small"
                  checked={excused && !isGroup}
                  onChange={event => setExcused(event.target.checked)}
                />
              }
              label="Excused: the work does not count"
            />
          </Box>
          <TextField
            label="Reason"
            value={reason}
            onChange={event => setReason(event.target.value)}
            helperText="Only markers see it."
            multiline
          />
          <ErrorText error={save.error} />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={!isReady} loading={save.isPending}>
            Save
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  )
}
