import {FormControlLabel, Link, Switch, Typography, useColorScheme} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useForm} from 'react-hook-form'
import {Link as RouterLink} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {me} from '../../api/account'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {NewPassword} from '../../ui/form/NewPassword'
import {HERE, TimeZone} from '../../ui/form/TimeZone'
import {Frame} from '../frame/Frame'
import {useKeyboard} from '../../ui/keys'
import {Part} from '../../ui/Part'
import {readIn} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {SecondFactor} from './SecondFactor'

/** As they are typed: an empty time zone is that of the browser. */
type Words = Schemas['AccountRequest'] & {time_zone: string}

export const Account = () => (
  <Screen>
    <AccountScreen />
  </Screen>
)

/** One's own name, clock and password. */
function AccountScreen() {
  const {data} = useSuspenseQuery(me)
  const queries = useQueryClient()
  const values = ({name, timeZone}: Schemas['Me']): Words => ({
    name,
    time_zone: timeZone ?? '',
    current: '',
    password: '',
  })
  const form = useForm<Words>({defaultValues: values(data)})
  const keep = useMutation({
    mutationFn: (body: Words) => unwrap(api.PUT('/api/me', {body})),
    onError: error => sayBeside(error, form),
    onSuccess: who => {
      queries.setQueryData(me.queryKey, who)
      readIn(who.timeZone)
      form.reset(values(who))
    },
  })
  return (
    <Frame steps={[{name: 'You'}]}>
      <Typography variant="h1">{data.name}</Typography>
      <Typography variant="body2" color="textSecondary" sx={{mt: 1, mb: 3}}>
        You log in with {data.email}.
      </Typography>
      <ApiForm form={form} keep={keep} submit="Save" label="You">
        <Field form={form} name="name" label="Name, as your students know you" autoComplete="name" />
        <TimeZone
          form={form}
          name="time_zone"
          helperText="Times are shown to you in it."
          none={`As where I am (${HERE.replaceAll('_', ' ')})`}
        />
        <NewPassword form={form} label="New password" also="; leave empty to keep the one you have" />
        <Field
          form={form}
          name="current"
          label="Current password"
          type="password"
          autoComplete="current-password"
          helperText="Only needed to change it"
        />
        {keep.isSuccess && (
          <Typography variant="body2" role="status">
            Saved.
          </Typography>
        )}
      </ApiForm>
      <SecondFactor who={data} />
      <OnThisMachine />
      {data.keepsHouse && (
        <Typography variant="body1" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 3}}>
          You run this installation: letters that no mail server takes are in{' '}
          <Link component={RouterLink} underline="always" to="/outbox">
            the outbox
          </Link>
          .
        </Typography>
      )}
    </Frame>
  )
}

/** What is chosen for the browser that is read on. */
function OnThisMachine() {
  const {mode, setMode} = useColorScheme()
  const {isOn, turn} = useKeyboard()
  return (
    <Part title="In this browser">
      <FormControlLabel
        control={
          <Switch checked={mode === 'dark'} onChange={event => setMode(event.target.checked ? 'dark' : 'light')} />
        }
        label="Dark mode"
      />
      <br />
      <FormControlLabel
        control={<Switch checked={isOn} onChange={event => turn(event.target.checked)} />}
        label="Single keys work"
      />
    </Part>
  )
}
