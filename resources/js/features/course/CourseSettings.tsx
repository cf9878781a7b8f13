import {Box, Button, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {Link as RouterLink, useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course, deeds, shelf} from '../../api/courses'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {DeleteByName} from '../../ui/form/DeleteByName'
import {Frame} from '../frame/Frame'
import {Part} from '../../ui/Part'
import {Empty, ErrorText} from '../../ui/Remark'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {CourseFields, type CourseWords} from './CourseFields'
import {People} from './People'
import {Storage} from './Storage'

export const CourseSettings = () => (
  <Screen>
    <SettingsScreen />
  </Screen>
)

/** A course's names, and what is done with it when a term ends. */
function SettingsScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(course(id))
  const navigate = useNavigate()
  const queries = useQueryClient()
  const remove = async (title: string) => {
    await unwrap(api.DELETE('/api/courses/{course}', {params: {path: {course: id}}, body: {title}}))
    queries.removeQueries({queryKey: course(id).queryKey})
    await queries.invalidateQueries({queryKey: shelf.queryKey})
    await navigate('/')
  }
  const goes = [
    many(data.assignments.length, 'assignment'),
    many(data.students.length, 'student'),
    `${many(data.handIns, 'hand-in')} with all that was written to them`,
  ]
  return (
    <Frame steps={[{name: data.title, to: `/courses/${id}`}, {name: 'The course itself'}]}>
      <Typography variant="h1" sx={{mb: 3}}>
        The course itself
      </Typography>
      <Names id={id} data={data} />
      <Part title="People">
        <People courseId={id} />
      </Part>
      <PutAway id={id} isAway={data.archived} />
      <CarryOver id={id} title={data.title} />
      <Deeds id={id} />
      <Part title="Records">
        <Typography variant="body1">
          <Link component={RouterLink} to={`/courses/${id}/records`} underline="always">
            Export everything
          </Link>
          , the data of one student, or see what is older.
        </Typography>
      </Part>
      <Storage id={id} />
      <Part title="Delete it">
        <Typography variant="body1" sx={{maxWidth: 620}}>
          {goes.join(', ')} go with it, for good.
        </Typography>
        <DeleteByName what="the course" onDelete={remove} />
      </Part>
    </Frame>
  )
}

/** What was done, by whom: nobody has to ask who changed the brief. */
function Deeds({id}: {id: string}) {
  const {data} = useSuspenseQuery(deeds(id))
  return (
    <Part title="What was done">
      {data.length === 0 && <Empty>Nothing yet since this is written down.</Empty>}
      <Box component="ol" sx={{listStyle: 'none', m: 0, p: 0, maxHeight: 260, overflow: 'auto'}} tabIndex={0}>
        {data.map(({at, by, what}) => (
          <Typography component="li" variant="body2" key={`${at} ${by} ${what}`} sx={{py: 0.25}}>
            <Box component="span" sx={{color: 'text.secondary'}}>
              {when(at)}
            </Box>{' '}
            {by} {what}.
          </Typography>
        ))}
      </Box>
    </Part>
  )
}

function Names({id, data}: {id: string; data: Schemas['CourseView']}) {
  const queries = useQueryClient()
  const {title, school, term, timeZone} = data
  const form = useForm<CourseWords>({defaultValues: {title, school, term, timeZone}})
  const keep = useMutation({
    mutationFn: (body: CourseWords) => unwrap(api.PUT('/api/courses/{course}', {params: {path: {course: id}}, body})),
    onError: error => sayBeside(error, form),
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <ApiForm form={form} keep={keep} submit="Save" label="Names">
      <CourseFields form={form} />
      {keep.isSuccess && (
        <Typography variant="body2" role="status">
          Saved.
        </Typography>
      )}
    </ApiForm>
  )
}

function PutAway({id, isAway}: {id: string; isAway: boolean}) {
  const queries = useQueryClient()
  const path = {course: id}
  const turn = useMutation({
    mutationFn: () =>
      isAway
        ? unwrap(api.DELETE('/api/courses/{course}/put-away', {params: {path}}))
        : unwrap(api.PUT('/api/courses/{course}/put-away', {params: {path}})),
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <Part title={isAway ? 'Bring it back' : 'Put it away'}>
      <Typography variant="body1" sx={{maxWidth: 620, mb: 1}}>
        {isAway
          ? 'It is put away: it stands below the shelf, and nothing in it waits.'
          : 'At the end of a term: it stands below the shelf, nothing in it waits any more, and nothing is lost.'}
      </Typography>
      <ErrorText error={turn.error} />
      <Button variant="outlined" loading={turn.isPending} onClick={() => turn.mutate()}>
        {isAway ? 'Bring it back' : 'Put it away'}
      </Button>
    </Part>
  )
}

interface Carried {
  title: string
  term: string
  /** as it was typed */
  weeks: string
}

function CarryOver({id, title}: {id: string; title: string}) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useForm<Carried>({defaultValues: {title, term: '', weeks: '26'}})
  const keep = useMutation({
    mutationFn: (words: Carried) =>
      unwrap(
        api.POST('/api/courses/{course}/carry-over', {
          params: {path: {course: id}},
          body: {...words, weeks: Number(words.weeks)},
        }),
      ),
    onError: error => sayBeside(error, form),
    onSuccess: async made => {
      await queries.invalidateQueries({queryKey: shelf.queryKey})
      await navigate(`/courses/${made.id}`)
    },
  })
  return (
    <Part title="Carry it over to a new term">
      <Typography variant="body1" sx={{maxWidth: 620}}>
        A new course with the same assignments, briefs and files. Due times move by whole weeks, at the same hour of the
        clock. Students and hand-ins stay here.
      </Typography>
      <ApiForm form={form} keep={keep} submit="Make the new course" label="Carry over">
        <Field form={form} name="title" label="Title" />
        <Field form={form} name="term" label="Term" placeholder="Spring 2027" />
        <Field form={form} name="weeks" label="Due times move by, in weeks" type="number" />
      </ApiForm>
    </Part>
  )
}
