import {Box, Button, Link, NativeSelect, Typography} from '@mui/material'
import {useMutation, useQuery, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {Link as RouterLink, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course} from '../../api/courses'
import {oldCourses, records, studentRecords} from '../../api/records'
import {DeleteByName} from '../../ui/form/DeleteByName'
import {Frame} from '../frame/Frame'
import {Part} from '../../ui/Part'
import {ErrorText} from '../../ui/Remark'
import {RuledTable} from '../../ui/RuledTable'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {daysAgo, howFar} from './words'

export const Records = () => (
  <Screen>
    <RecordsScreen />
  </Screen>
)

/** What is known of a course and of its students: taken along, and deleted. */
function RecordsScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(course(id))
  return (
    <Frame
      steps={[
        {name: data.title, to: `/courses/${id}`},
        {name: 'The course itself', to: `/courses/${id}/settings`},
        {name: 'Records'},
      ]}
    >
      <Typography variant="h1" sx={{mb: 3}}>
        Records
      </Typography>
      <Part title="Everything of the course">
        <Typography variant="body1" gutterBottom>
          One zip of open formats: hand-ins as they came, briefs, what the check says as JSON and SARIF, notes, replies,
          the gradebook. It can be brought in again, here or elsewhere, where a new course is made.
        </Typography>
        <OfCourse id={id} />
      </Part>
      <Part title="One student">
        <OfStudent students={data.students} courseId={id} />
      </Part>
      <Part title="What is older">
        <Older />
      </Part>
    </Frame>
  )
}

function OfCourse({id}: {id: string}) {
  const {data, error} = useQuery(records(id))
  const queries = useQueryClient()
  const ask = useMutation({
    mutationFn: () => unwrap(api.POST('/api/courses/{course}/records', {params: {path: {course: id}}})),
    onSuccess: () => queries.invalidateQueries({queryKey: records(id).queryKey}),
  })
  return (
    <Writing
      told={data}
      error={error ?? ask.error}
      href={`/api/courses/${id}/records.zip`}
      what="the course"
      onAsk={() => ask.mutate()}
    />
  )
}

function OfStudent({students, courseId}: {students: Schemas['RosterStudent'][]; courseId: string}) {
  const [chosen, setChosen] = useState('')
  const student = students.find(one => one.id === chosen)
  return (
    <>
      <Typography variant="body1" gutterBottom>
        What is known of one student is written out alone, and deleted on their name: hand-ins, notes, replies, grades,
        letters.
      </Typography>
      <NativeSelect
        value={chosen}
        onChange={event => setChosen(event.target.value)}
        inputProps={{'aria-label': 'Student'}}
        sx={{fontSize: '0.9rem', minWidth: '16rem', mb: 2}}
      >
        <option value="">Choose a student</option>
        {students.map(one => (
          <option key={one.id} value={one.id}>
            {one.name}
            {one.aside ? ' (set aside)' : ''}
          </option>
        ))}
      </NativeSelect>
      {student !== undefined && (
        <Chosen key={student.id} student={student} courseId={courseId} onGone={() => setChosen('')} />
      )}
    </>
  )
}

function Chosen({
  student,
  courseId,
  onGone,
}: {
  student: Schemas['RosterStudent']
  courseId: string
  onGone: () => void
}) {
  const path = {student: student.id}
  const {data, error} = useQuery(studentRecords(student.id))
  const queries = useQueryClient()
  const ask = useMutation({
    mutationFn: () => unwrap(api.POST('/api/students/{student}/records', {params: {path}})),
    onSuccess: () => queries.invalidateQueries({queryKey: studentRecords(student.id).queryKey}),
  })
  const forget = async (title: string) => {
    await unwrap(api.DELETE('/api/students/{student}', {params: {path}, body: {title}}))
    onGone()
    await queries.invalidateQueries({queryKey: course(courseId).queryKey})
  }
  return (
    <>
      <Writing
        told={data}
        error={error ?? ask.error}
        href={`/api/students/${student.id}/records.zip`}
        what={student.name}
        onAsk={() => ask.mutate()}
      />
      <Typography variant="body1" sx={{mt: 2}} gutterBottom>
        Deleting cannot be undone. Files that nobody else has are gone by the next night.
      </Typography>
      <DeleteByName what={student.name} onDelete={forget} />
    </>
  )
}

/** Records that are asked for, written, and taken along. */
function Writing({
  told,
  error,
  href,
  what,
  onAsk,
}: {
  told: Schemas['RecordsView'] | undefined
  error: Error | null
  href: string
  what: string
  onAsk: () => void
}) {
  const isWaiting = told?.state === 'waiting'
  return (
    <>
      <Box sx={{display: 'flex', alignItems: 'center', gap: 2}}>
        <Button variant="outlined" disabled={told === undefined} loading={isWaiting} onClick={onAsk}>
          {told?.state === 'ready' ? 'Write them anew' : `Write the records of ${what}`}
        </Button>
        {told?.state === 'ready' && (
          <Link variant="body1" href={href}>
            Download the zip
          </Link>
        )}
        <Typography variant="body2" role="status" color="textSecondary">
          {told === undefined ? '' : howFar(told)}
        </Typography>
      </Box>
      <ErrorText error={error} />
    </>
  )
}

const SPANS = [
  {days: 365, words: 'a year'},
  {days: 730, words: 'two years'},
  {days: 1825, words: 'five years'},
  {days: 3650, words: 'ten years'},
]

/** Courses of long ago, for a school that may not keep them. */
function Older() {
  const [days, setDays] = useState(730)
  const {data, error} = useQuery(oldCourses(daysAgo(days, new Date())))
  return (
    <>
      <Typography variant="body1" component="div" gutterBottom>
        Courses of yours in which nothing has come in for{' '}
        <NativeSelect
          value={days}
          onChange={event => setDays(Number(event.target.value))}
          inputProps={{'aria-label': 'for how long'}}
        >
          {SPANS.map(({days: span, words}) => (
            <option key={span} value={span}>
              {words}
            </option>
          ))}
        </NativeSelect>
      </Typography>
      <ErrorText error={error} />
      {data?.length === 0 && (
        <Typography variant="body2" color="textSecondary">
          None.
        </Typography>
      )}
      {data !== undefined && data.length > 0 && (
        <RuledTable caption="Old courses" heads={['Course', 'Term', 'Last', 'It has', '']}>
          {data.map(one => (
            <OldCourse key={one.id} one={one} />
          ))}
        </RuledTable>
      )}
    </>
  )
}

function OldCourse({one}: {one: Schemas['OldCourse']}) {
  const [isOpen, setOpen] = useState(false)
  const queries = useQueryClient()
  const remove = async (title: string) => {
    await unwrap(api.DELETE('/api/courses/{course}', {params: {path: {course: one.id}}, body: {title}}))
    await queries.invalidateQueries()
  }
  return (
    <>
      <tr>
        <th scope="row">
          <Link component={RouterLink} to={`/courses/${one.id}`}>
            {one.title}
          </Link>
        </th>
        <td>{one.term}</td>
        <td>{when(one.last)}</td>
        <td>
          {many(one.students, 'student')}, {many(one.handIns, 'hand-in')}
        </td>
        <td>
          <Link component="button" variant="body2" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            Delete…
          </Link>
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={5}>
            <DeleteByName what={one.title} onDelete={remove} />
          </td>
        </tr>
      )}
    </>
  )
}
