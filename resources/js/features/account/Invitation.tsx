import {Button, Typography} from '@mui/material'
import {useMutation, useQuery, useQueryClient} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {Link as RouterLink, useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {me} from '../../api/account'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {NewPassword} from '../../ui/form/NewPassword'
import {ErrorText} from '../../ui/Remark'
import {Cover} from './Cover'

/** For whoever was asked to help with a course, and has the link. */
export function Invitation() {
  const {token = ''} = useParams()
  const path = {token}
  const {data, error} = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => unwrap(api.GET('/api/invitations/{token}', {params: {path}})),
    retry: false,
  })
  // Nobody is logged in, as a rule: that is no error here.
  const {data: who = null} = useQuery({
    queryKey: ['who'],
    queryFn: () => unwrap(api.GET('/api/me')).catch(() => null),
  })
  const navigate = useNavigate()
  const queries = useQueryClient()
  const form = useForm<Schemas['AcceptRequest']>({defaultValues: {name: '', password: ''}})
  const keep = useMutation({
    mutationFn: (body: Schemas['AcceptRequest']) =>
      unwrap(api.POST('/api/invitations/{token}', {params: {path}, body})),
    onError: failure => sayBeside(failure, form),
    onSuccess: async who => {
      queries.clear()
      queries.setQueryData(me.queryKey, who)
      await navigate('/')
    },
  })
  return (
    <Cover>
      <ErrorText error={error} />
      {data !== undefined && (
        <>
          <Typography variant="body1" color="textSecondary">
            {data.by} asks you to {data.role === 'marker' ? 'mark hand-ins' : 'set and mark work'} in {data.course}.
            {data.hasAccount
              ? ` Log in with ${data.email} to accept.`
              : ` Make an account to begin; you log in with ${data.email}.`}
          </Typography>
          {who === null && data.hasAccount && (
            <Button
              component={RouterLink}
              to={`/log-in?to=${encodeURIComponent(`/invitations/${token}`)}`}
              variant="contained"
              sx={{mt: 2}}
            >
              Log in
            </Button>
          )}
          {who === null && !data.hasAccount && (
            <ApiForm form={form} keep={keep} submit="Make the account" label="Accept">
              <Field form={form} name="name" label="Name" autoComplete="name" autoFocus />
              <NewPassword form={form} />
            </ApiForm>
          )}
          {who !== null && (
            <>
              <Button
                variant="contained"
                loading={keep.isPending}
                onClick={() => keep.mutate({name: '', password: ''})}
                sx={{mt: 2, mb: 1}}
              >
                Join the course as {who.name}
              </Button>
              <ErrorText error={keep.error} />
            </>
          )}
        </>
      )}
    </Cover>
  )
}
