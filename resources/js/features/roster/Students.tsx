import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course} from '../../api/courses'
import {extensionInWords} from '../../ui/ExtensionNote'
import {ErrorText} from '../../ui/Remark'
import {RuledTable} from '../../ui/RuledTable'

type Student = Schemas['RosterStudent']
type Words = Pick<Student, 'name' | 'handle' | 'email' | 'group'>

const FIELDS: {name: keyof Words; label: string}[] = [
  {name: 'name', label: 'Name'},
  {name: 'handle', label: 'Handle'},
  {name: 'email', label: 'E-mail'},
  {name: 'group', label: 'Group'},
]

const NOBODY: Words = {name: '', handle: '', email: '', group: ''}

/** Students line by line; a line is changed where it stands. */
export function Students({courseId, students}: {courseId: string; students: Student[]}) {
  const [open, setOpen] = useState<string | null>(null)
  const mayAdd = students.every(({aside}) => !aside)
  return (
    <>
      <RuledTable caption="Students" heads={[...FIELDS.map(({label}) => label), '']}>
        {students.map(student =>
          open === student.id ? (
            <tr key={student.id}>
              <td colSpan={FIELDS.length + 1}>
                <StudentForm courseId={courseId} student={student} onDone={() => setOpen(null)} />
              </td>
            </tr>
          ) : (
            <tr key={student.id}>
              <th scope="row">
                {student.name}
                {student.extensions.map(({assignmentId, assignment, extension}) => (
                  <Typography key={assignmentId} variant="body2" color="textSecondary" title={extension.reason}>
                    {assignment}: {extensionInWords(extension)}
                  </Typography>
                ))}
              </th>
              <td>{student.handle}</td>
              <td>{student.email}</td>
              <td>{student.group}</td>
              <td>
                <Link
                  component="button"
                  variant="body2"
                  aria-label={`Edit ${student.name}`}
                  onClick={() => setOpen(student.id)}
                >
                  Edit
                </Link>
              </td>
            </tr>
          ),
        )}
      </RuledTable>
      {mayAdd &&
        (open === 'new' ? (
          <StudentForm courseId={courseId} student={null} onDone={() => setOpen(null)} />
        ) : (
          <Button sx={{mt: 1}} onClick={() => setOpen('new')}>
            Add a student
          </Button>
        ))}
    </>
  )
}

/** One student's line, to be changed; somebody new where there is none. */
function StudentForm({courseId, student, onDone}: {courseId: string; student: Student | null; onDone: () => void}) {
  const [words, setWords] = useState<Words>(student ?? NOBODY)
  const queries = useQueryClient()
  const keep = useMutation({
    mutationFn: (aside: boolean) => {
      const {name, handle, email, group} = words
      const body = {name, handle, email, group, aside}
      return student === null
        ? unwrap(api.POST('/api/courses/{course}/students', {params: {path: {course: courseId}}, body}))
        : unwrap(api.PUT('/api/students/{student}', {params: {path: {student: student.id}}, body}))
    },
    onSuccess: async () => {
      await queries.invalidateQueries({queryKey: course(courseId).queryKey})
      onDone()
    },
  })
  const isAside = student?.aside ?? false
  return (
    <Box
      component="form"
      aria-label={student === null ? 'A new student' : student.name}
      onSubmit={event => {
        event.preventDefault()
        keep.mutate(isAside)
      }}
      sx={{display: 'grid', gridTemplateColumns: 'repeat(4, minmax(0, 1fr))', gap: 1.5, py: 1}}
    >
      {FIELDS.map(({name, label}, index) => (
        <TextField
          key={name}
          label={label}
          value={words[name]}
          autoFocus={index === 0}
          onChange={event => setWords({...words, [name]: event.target.value})}
        />
      ))}
      <Box sx={{gridColumn: '1 / -1', display: 'flex', gap: 2, alignItems: 'baseline'}}>
        <Button type="submit" variant="contained" loading={keep.isPending}>
          Save
        </Button>
        <Button onClick={onDone}>Cancel</Button>
        <Box sx={{flex: 1}} />
        {student !== null && (
          <Button onClick={() => keep.mutate(!isAside)}>{isAside ? 'Take back' : 'Set aside'}</Button>
        )}
      </Box>
      <Box sx={{gridColumn: '1 / -1'}}>
        <ErrorText error={keep.error} />
      </Box>
    </Box>
  )
}
