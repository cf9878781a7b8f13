import {Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {api, unwrap, type Schemas} from '../../api/client'
import {me} from '../../api/queries'
import {ApiForm, Field, sayBeside} from '../../parts/form/form'
import {NewPassword} from '../../parts/form/NewPassword'
import {Frame} from '../../parts/Frame'
import {Screen} from '../Screen'

export const Account = () => (
  <Screen>
    <AccountScreen />
  </Screen>
)

/** One's own name and password. */
function AccountScreen() {
  const {data} = useSuspenseQuery(me)
  const queries = useQueryClient()
  const form = useForm<Schemas['AccountRequest']>({defaultValues: {name: data.name, current: '', password: ''}})
  const keep = useMutation({
    mutationFn: (body: Schemas['AccountRequest']) => unwrap(api.PUT('/api/me', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: who => {
      queries.setQueryData(me.queryKey, who)
      form.reset({name: who.name, current: '', password: ''})
    },
  })
  return (
    <Frame steps={[{name: 'You'}]}>
      <Typography variant="h1">{data.name}</Typography>
      <Typography variant="body2" color="textSecondary" sx={{mb: 3}}>
        You log in with {data.email}. Light or lamp is chosen above, single keys in the list of keys below.
      </Typography>
      <ApiForm form={form} keep={keep} submit="Keep" label="You">
        <Field form={form} name="name" label="Name, as your students know you" autoComplete="name" />
        <NewPassword form={form} label="Another password" also="; empty to keep the one you have" />
        <Field
          form={form}
          name="current"
          label="The password you have now"
          type="password"
          autoComplete="current-password"
          helperText="Needed for another one only"
        />
        {keep.isSuccess && (
          <Typography variant="body2" role="status">
            Kept.
          </Typography>
        )}
      </ApiForm>
    </Frame>
  )
}
