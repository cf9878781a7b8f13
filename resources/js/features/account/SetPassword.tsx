import {Link, Typography} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {Link as RouterLink, useSearchParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import {ApiForm, sayBeside} from '../../ui/form/form'
import {NewPassword} from '../../ui/form/NewPassword'
import {Cover} from './Cover'

/** For whoever forgot their password, and has the letter. */
export function SetPassword() {
  const [search] = useSearchParams()
  const form = useForm<{password: string}>({defaultValues: {password: ''}})
  const keep = useMutation({
    mutationFn: ({password}: {password: string}) =>
      unwrap(
        api.POST('/api/password/reset', {
          body: {email: search.get('email') ?? '', token: search.get('token') ?? '', password},
        }),
      ),
    onError: error => sayBeside(error, form),
  })
  return (
    <Cover>
      {keep.isSuccess ? (
        <Typography variant="body1" role="status">
          It is set.{' '}
          <Link component={RouterLink} to="/log-in">
            Log in with it.
          </Link>
        </Typography>
      ) : (
        <>
          <Typography variant="body1" color="textSecondary">
            Another password for {search.get('email')}.
          </Typography>
          <ApiForm form={form} keep={keep} submit="Set it" label="Another password">
            <NewPassword form={form} autoFocus />
          </ApiForm>
        </>
      )}
    </Cover>
  )
}
