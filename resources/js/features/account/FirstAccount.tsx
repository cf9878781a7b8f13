import {Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {useNavigate} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {me} from '../../api/account'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {NewPassword} from '../../ui/form/NewPassword'

/** On an installation that nobody uses yet: whoever comes first makes the first account. */
export function FirstAccount() {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useForm<Schemas['FirstRunRequest']>({defaultValues: {name: '', email: '', password: ''}})
  const keep = useMutation({
    mutationFn: (body: Schemas['FirstRunRequest']) => unwrap(api.POST('/api/first-run', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: async who => {
      queries.clear()
      queries.setQueryData(me.queryKey, who)
      await navigate('/')
    },
  })
  return (
    <>
      <Typography variant="body1" color="textSecondary">
        Nobody has an account here yet. Make the first one, to set work and to mark it.
      </Typography>
      <ApiForm form={form} keep={keep} submit="Make the account" label="The first account">
        <Field form={form} name="name" label="Name" autoComplete="name" autoFocus />
        <Field form={form} name="email" label="E-mail" type="email" autoComplete="username" />
        <NewPassword form={form} />
      </ApiForm>
    </>
  )
}
