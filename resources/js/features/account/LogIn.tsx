import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQuery, useQueryClient} from '@tanstack/react-query'
import {useState, type SubmitEvent} from 'react'
import {useNavigate, useSearchParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import {ApiError} from '../../lib/apiError'
import {firstRun, me} from '../../api/account'
import {ErrorText} from '../../ui/Remark'
import {Cover} from './Cover'
import {FirstAccount} from './FirstAccount'

export function LogIn() {
  const {data} = useQuery(firstRun)
  return <Cover>{data?.needed === true ? <FirstAccount /> : <LogInForm />}</Cover>
}

function LogInForm() {
  const [email, setEmail] = useState('')
  const [password, setPassword] = useState('')
  const [code, setCode] = useState('')
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const queries = useQueryClient()
  const logIn = useMutation({
    mutationFn: () => unwrap(api.POST('/api/log-in', {body: {email, password, code}})),
    onSuccess: async who => {
      queries.clear()
      queries.setQueryData(me.queryKey, who)
      const to = search.get('to') ?? '/'
      await navigate(to.startsWith('/') && !to.startsWith('//') ? to : '/')
    },
  })
  const wantsCode = logIn.error instanceof ApiError && 'code' in logIn.error.fields
  const submit = (event: SubmitEvent) => {
    event.preventDefault()
    logIn.mutate()
  }
  return (
    <>
      <Typography variant="body1" color="textSecondary" sx={{mb: 3}}>
        Read your students’ sites against the brief, and write in the margin.
      </Typography>
      <Box component="form" onSubmit={submit} sx={{display: 'grid', gap: 2, maxWidth: 340}}>
        <TextField
          label="E-mail"
          type="email"
          autoComplete="username"
          autoFocus
          required
          value={email}
          onChange={event => setEmail(event.target.value)}
        />
        <TextField
          label="Password"
          type="password"
          autoComplete="current-password"
          required
          value={password}
          onChange={event => setPassword(event.target.value)}
        />
        {(wantsCode || code !== '') && (
          <TextField
            label="Code"
            helperText="Six digits from your authenticator app, or a recovery code"
            autoComplete="one-time-code"
            autoFocus
            required
            value={code}
            onChange={event => setCode(event.target.value)}
          />
        )}
        <ErrorText error={logIn.error} />
        <Button type="submit" variant="contained" loading={logIn.isPending} sx={{justifySelf: 'start'}}>
          Log in
        </Button>
      </Box>
      <Forgotten email={email} />
    </>
  )
}

/** Another password comes by letter; the answer is the same whether there is such an account or not. */
function Forgotten({email}: {email: string}) {
  const send = useMutation({mutationFn: () => unwrap(api.POST('/api/password/forgotten', {body: {email}}))})
  return (
    <Box sx={{mt: 3}}>
      <ErrorText error={send.error} />
      {send.isSuccess ? (
        <Typography variant="body2" role="status">
          If there is an account of that address, a letter is on its way. Without mail on this server, whoever runs it
          can read it there.
        </Typography>
      ) : (
        <Link component="button" variant="body2" onClick={() => send.mutate()}>
          I forgot my password
        </Link>
      )}
    </Box>
  )
}
