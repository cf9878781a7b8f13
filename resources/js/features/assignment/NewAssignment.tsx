import {Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import {course} from '../../api/courses'
import {ApiForm} from '../../ui/form/form'
import {Frame} from '../frame/Frame'
import {Screen} from '../frame/Screen'
import {asRequest, AssignmentFields, sayBesideWords, type AssignmentWords} from './AssignmentFields'

export const NewAssignment = () => (
  <Screen>
    <NewAssignmentScreen />
  </Screen>
)

function NewAssignmentScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(course(id))
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useForm<AssignmentWords>({
    defaultValues: {title: '', summary: '', due: '', attempts: '', see: 'nothing', late: 'yes'},
  })
  const keep = useMutation({
    mutationFn: (words: AssignmentWords) =>
      unwrap(
        api.POST('/api/courses/{course}/assignments', {
          params: {path: {course: id}},
          body: asRequest(words),
        }),
      ),
    onError: error => sayBesideWords(error, form),
    onSuccess: async made => {
      await queries.invalidateQueries({queryKey: course(id).queryKey})
      await navigate(`/assignments/${made.id}`)
    },
  })
  return (
    <Frame steps={[{name: data.title, to: `/courses/${id}`}, {name: 'New work'}]}>
      <Typography variant="h1" sx={{mb: 3}}>
        New work
      </Typography>
      <ApiForm form={form} keep={keep} submit="Set it" label="New work">
        <AssignmentFields form={form} timeZone={data.timeZone} />
      </ApiForm>
    </Frame>
  )
}
