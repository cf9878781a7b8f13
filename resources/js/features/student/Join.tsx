import {Typography} from '@mui/material'
import {useMutation, useSuspenseQuery} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import {courseDoor} from '../../api/courses'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {Screen} from '../frame/Screen'
import {MyFrame} from './MyFrame'

export const Join = () => (
  <Screen open>
    <Door />
  </Screen>
)

/** The link of a course asks who comes. */
function Door() {
  const {token = ''} = useParams()
  const {data} = useSuspenseQuery(courseDoor(token))
  const navigate = useNavigate()
  const form = useForm({defaultValues: {handle: '', word: ''}})
  const join = useMutation({
    mutationFn: (body: {handle: string; word: string}) =>
      unwrap(api.POST('/api/join/{token}', {params: {path: {token}}, body})),
    onError: error => sayBeside(error, form),
    onSuccess: ({link}) => navigate(new URL(link).pathname),
  })
  return (
    <MyFrame title={data.course} home={`/join/${token}`}>
      <Typography variant="h1" gutterBottom>
        {data.course}
      </Typography>
      <ApiForm form={form} keep={join} submit="To my page" label="Who are you?">
        <Field
          form={form}
          name="handle"
          label="Your handle"
          autoFocus
          autoComplete="username"
          helperText="The log-in or student number that your school knows you by"
        />
        {data.asksForWord && (
          <Field
            form={form}
            name="word"
            label="The word of the course"
            helperText="Your instructor has told it to you"
          />
        )}
      </ApiForm>
    </MyFrame>
  )
}
