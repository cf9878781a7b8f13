import {Button, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import {assignment} from '../../api/assignments'
import {DeleteByName} from '../../ui/form/DeleteByName'
import {ApiForm} from '../../ui/form/form'
import {Frame} from '../frame/Frame'
import {Part} from '../../ui/Part'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {asRequest, AssignmentFields, sayBesideWords, type AssignmentWords} from './AssignmentFields'
import {Materials} from './Materials'

export function AssignmentSettings() {
  const {id = ''} = useParams()
  // What is typed belongs to one assignment.
  return (
    <Screen>
      <SettingsScreen key={id} />
    </Screen>
  )
}

/** An assignment's title, words and due time, and its end. */
function SettingsScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(assignment(id))
  const navigate = useNavigate()
  const queries = useQueryClient()
  const path = {assignment: id}
  const {title, summary, due, mostAttempts, studentsSee, takesLate} = data
  const form = useForm<AssignmentWords>({
    defaultValues: {
      title,
      summary,
      due: due ?? '',
      attempts: String(mostAttempts ?? ''),
      see: studentsSee,
      late: takesLate ? 'yes' : 'no',
    },
  })
  const keep = useMutation({
    mutationFn: (words: AssignmentWords) =>
      unwrap(
        api.PUT('/api/assignments/{assignment}', {
          params: {path},
          body: asRequest(words),
        }),
      ),
    onError: error => sayBesideWords(error, form),
    onSuccess: async () => {
      await queries.invalidateQueries()
      await navigate(`/assignments/${id}`)
    },
  })
  const close = useMutation({
    mutationFn: () =>
      data.closed
        ? unwrap(api.DELETE('/api/assignments/{assignment}/closed', {params: {path}}))
        : unwrap(api.PUT('/api/assignments/{assignment}/closed', {params: {path}})),
    onSuccess: () => queries.invalidateQueries(),
  })
  const copy = useMutation({
    mutationFn: () => unwrap(api.POST('/api/assignments/{assignment}/copy', {params: {path}})),
    onSuccess: async made => {
      await queries.invalidateQueries()
      await navigate(`/assignments/${made.id}/settings`)
    },
  })
  const remove = async (name: string) => {
    await unwrap(api.DELETE('/api/assignments/{assignment}', {params: {path}, body: {title: name}}))
    queries.removeQueries({queryKey: assignment(id).queryKey})
    await queries.invalidateQueries()
    await navigate(`/courses/${data.courseId}`)
  }
  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.title, to: `/assignments/${id}`},
        {name: 'Assignment settings'},
      ]}
    >
      <Typography variant="h1" sx={{mb: 3}}>
        Assignment settings
      </Typography>
      <ApiForm form={form} keep={keep} submit="Keep" label="Assignment settings">
        <AssignmentFields form={form} timeZone={data.timeZone} />
      </ApiForm>
      <Materials assignmentId={id} />
      <Part name="Close it" title={data.closed ? 'Open it again' : 'Close it'}>
        <Typography variant="body1" sx={{mb: 1}}>
          {data.closed
            ? 'It is closed: nothing is taken in.'
            : 'From then on nothing is taken in, until it is opened again.'}
        </Typography>
        <ErrorText error={close.error} />
        <Button variant="outlined" loading={close.isPending} onClick={() => close.mutate()}>
          {data.closed ? 'Open the assignment' : 'Close the assignment'}
        </Button>
      </Part>
      <Part title="Copy it">
        <Typography variant="body1" sx={{mb: 1}}>
          The same words, files and brief once more in this course, with no due time yet.
        </Typography>
        <ErrorText error={copy.error} />
        <Button variant="outlined" loading={copy.isPending} onClick={() => copy.mutate()}>
          Copy the assignment
        </Button>
      </Part>
      <Part title="Delete it">
        <Typography variant="body1">
          Its brief and {many(data.handIns.length, 'hand-in')} with all that was written to them go with it, for good.
        </Typography>
        <DeleteByName what="the assignment" onDelete={remove} />
      </Part>
    </Frame>
  )
}
