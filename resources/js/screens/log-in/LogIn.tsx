import {Box, Button, TextField, Typography} from '@mui/material'
import {useMutation, useQuery, useQueryClient} from '@tanstack/react-query'
import {useState, type SubmitEvent} from 'react'
import {useNavigate, useSearchParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import {firstRun, me} from '../../api/queries'
import {ErrorText} from '../../parts/Remark'
import {FirstAccount} from './FirstAccount'

export function LogIn() {
  const {data} = useQuery(firstRun)
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100%',
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) 15rem',
        maxWidth: 860,
        mx: 'auto',
        pt: '16vh',
        px: 4,
      }}
    >
      <Box sx={{bgcolor: 'desk.sheet', borderRight: 1, borderColor: 'desk.fault', p: 6, height: 'fit-content'}}>
        <Typography variant="h1" gutterBottom>
          Inked Margin
        </Typography>
        {data?.needed === true ? <FirstAccount /> : <LogInForm />}
      </Box>
      <Typography variant="body2" sx={{p: 3, pt: 7, fontStyle: 'italic', color: 'desk.ink'}}>
        What the machine finds, it pencils. What you ink, the student reads.
      </Typography>
    </Box>
  )
}

function LogInForm() {
  const [email, setEmail] = useState('')
  const [password, setPassword] = useState('')
  const [search] = useSearchParams()
  const navigate = useNavigate()
  const queries = useQueryClient()
  const logIn = useMutation({
    mutationFn: () => unwrap(api.POST('/api/log-in', {body: {email, password}})),
    onSuccess: async who => {
      queries.clear()
      queries.setQueryData(me.queryKey, who)
      const to = search.get('to') ?? '/'
      await navigate(to.startsWith('/') && !to.startsWith('//') ? to : '/')
    },
  })
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
        <ErrorText error={logIn.error} />
        <Button type="submit" variant="contained" loading={logIn.isPending} sx={{justifySelf: 'start'}}>
          Log in
        </Button>
      </Box>
    </>
  )
}
