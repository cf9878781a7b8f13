import {Box, Button, Typography} from '@mui/material'
import {useMutation, useQueryClient, type UseMutationResult} from '@tanstack/react-query'
import {useState} from 'react'
import {useForm} from 'react-hook-form'
import {encode} from 'uqr'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {Part} from '../../ui/Part'
import {mono} from '../../ui/theme'

/** Logging in with a code from a telephone besides the password. */
export function SecondFactor({who}: {who: Schemas['Me']}) {
  const [begun, setBegun] = useState<Schemas['NewSecondFactor'] | null>(null)
  const [codes, setCodes] = useState<string[] | null>(null)
  return (
    <Part title="Two-step log-in">
      {codes !== null && <RecoveryCodes codes={codes} />}
      {codes === null && who.secondFactor && <TurnOff demanded={who.secondFactorDemanded} />}
      {!who.secondFactor && begun === null && <Begin demanded={who.secondFactorDemanded} onBegun={setBegun} />}
      {!who.secondFactor && begun !== null && <Confirm begun={begun} onDone={setCodes} />}
    </Part>
  )
}

interface Current {
  current: string
}

function Begin({demanded, onBegun}: {demanded: boolean; onBegun: (begun: Schemas['NewSecondFactor']) => void}) {
  const form = useForm<Current>({defaultValues: {current: ''}})
  const begin = useMutation({
    mutationFn: (body: Current) => unwrap(api.POST('/api/me/second-factor', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: onBegun,
  })
  return (
    <>
      <Typography variant="body1" sx={{maxWidth: 620}}>
        {demanded && 'This installation asks everybody for it. '}
        Besides your password you enter six digits that an authenticator app on your phone shows. Whoever learns your
        password cannot log in with it alone.
      </Typography>
      <PasswordForm form={form} keep={begin} submit="Set it up" />
    </>
  )
}

function PasswordForm({
  form,
  keep,
  submit,
}: {
  form: ReturnType<typeof useForm<Current>>
  keep: UseMutationResult<unknown, Error, Current>
  submit: string
}) {
  return (
    <ApiForm form={form} keep={keep} submit={submit} label="Two-step log-in">
      <Field form={form} name="current" label="Your password" type="password" autoComplete="current-password" />
    </ApiForm>
  )
}

function Confirm({begun, onDone}: {begun: Schemas['NewSecondFactor']; onDone: (codes: string[]) => void}) {
  const queries = useQueryClient()
  const form = useForm({defaultValues: {code: ''}})
  const confirm = useMutation({
    mutationFn: (body: {code: string}) => unwrap(api.PUT('/api/me/second-factor', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: async ({codes}) => {
      onDone(codes)
      await queries.invalidateQueries()
    },
  })
  return (
    <>
      <Typography variant="body1" sx={{maxWidth: 620}}>
        Scan this with an authenticator app, or enter the key by hand. Then enter the six digits that the app shows.
      </Typography>
      <Box sx={{display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap', my: 2}}>
        <QrCode text={begun.address} />
        <Typography variant="body1" component="code" sx={{fontFamily: mono, overflowWrap: 'anywhere', maxWidth: 260}}>
          {begun.secret.replaceAll(/(.{4})(?=.)/g, '$1 ')}
        </Typography>
      </Box>
      <ApiForm form={form} keep={confirm} submit="Turn on" label="The first code">
        <Field form={form} name="code" label="Code" autoComplete="one-time-code" autoFocus />
      </ApiForm>
    </>
  )
}

function RecoveryCodes({codes}: {codes: string[]}) {
  return (
    <Box role="status">
      <Typography variant="body1" sx={{maxWidth: 620, mb: 1}}>
        Two-step log-in is on. Keep these recovery codes in a safe place: if you lose your phone, each of them logs you
        in once. They are shown only now.
      </Typography>
      <Box component="ul" sx={{columns: 2, maxWidth: 360, listStyle: 'none', p: 0, fontFamily: mono}}>
        {codes.map(code => (
          <li key={code}>{code}</li>
        ))}
      </Box>
    </Box>
  )
}

function TurnOff({demanded}: {demanded: boolean}) {
  const queries = useQueryClient()
  const form = useForm<Current>({defaultValues: {current: ''}})
  const end = useMutation({
    mutationFn: (body: Current) => unwrap(api.DELETE('/api/me/second-factor', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: () => queries.invalidateQueries(),
  })
  const [isOpen, setOpen] = useState(false)
  return (
    <>
      <Typography variant="body1" sx={{mb: 1}}>
        On: you log in with a code from your authenticator app.
      </Typography>
      {isOpen ? (
        <>
          {demanded && (
            <Typography variant="body1">This installation asks everybody for it: set it up again at once.</Typography>
          )}
          <PasswordForm form={form} keep={end} submit="Turn off" />
        </>
      ) : (
        <Button variant="outlined" onClick={() => setOpen(true)}>
          Turn off, or use another phone
        </Button>
      )}
    </>
  )
}

/** Dark on white in both modes: cameras want it so. */
function QrCode({text}: {text: string}) {
  const {data, size} = encode(text, {ecc: 'M', border: 4})
  const squares = data.flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h1v1h-1z`] : [])))
  return (
    <svg width={200} height={200} viewBox={`0 0 ${size} ${size}`} role="img" aria-label="QR code of the key">
      <rect width={size} height={size} fill="#fff" />
      <path d={squares.join('')} fill="#000" shapeRendering="crispEdges" />
    </svg>
  )
}
