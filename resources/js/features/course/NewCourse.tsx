import {Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {useNavigate} from 'react-router'
import {api, unwrap} from '../../api/client'
import {shelf} from '../../api/courses'
import {ApiForm, sayBeside} from '../../ui/form/form'
import {HERE} from '../../ui/form/TimeZone'
import {Frame} from '../frame/Frame'
import {Screen} from '../frame/Screen'
import {BringIn} from './BringIn'
import {CourseFields, type CourseWords} from './CourseFields'

export const NewCourse = () => (
  <Screen>
    <NewCourseScreen />
  </Screen>
)

function NewCourseScreen() {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useForm<CourseWords>({defaultValues: {title: '', school: '', term: '', timeZone: HERE}})
  const keep = useMutation({
    mutationFn: (body: CourseWords) => unwrap(api.POST('/api/courses', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: async ({id}) => {
      await queries.invalidateQueries({queryKey: shelf.queryKey})
      await navigate(`/courses/${id}`)
    },
  })
  return (
    <Frame steps={[{name: 'A new course'}]}>
      <Typography variant="h1" sx={{mb: 3}}>
        A new course
      </Typography>
      <ApiForm form={form} keep={keep} submit="Make the course" label="A new course">
        <CourseFields form={form} />
      </ApiForm>
      <BringIn />
    </Frame>
  )
}
