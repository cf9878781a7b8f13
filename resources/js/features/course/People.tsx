import {Box, Button, Link, NativeSelect, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {people} from '../../api/courses'
import {ErrorText} from '../../ui/Remark'
import {RuledTable} from '../../ui/RuledTable'
import {when} from '../../lib/when'

type Role = Schemas['Person']['role']

const ROLES: Record<Role, string> = {instructor: 'instructor: all of it', marker: 'marker: reads and marks'}

/** Who sets and marks work in a course, and who was asked to. */
export function People({courseId}: {courseId: string}) {
  const {data} = useSuspenseQuery(people(courseId))
  const queries = useQueryClient()
  const onSuccess = () => queries.invalidateQueries({queryKey: people(courseId).queryKey})
  const at = (person: string) => ({params: {path: {course: courseId, person}}})
  const change = useMutation({
    mutationFn: ({id, role}: {id: string; role: Role}) =>
      unwrap(api.PUT('/api/courses/{course}/people/{person}', {...at(id), body: {role}})),
    onSuccess,
  })
  const takeOff = useMutation({
    mutationFn: (id: string) => unwrap(api.DELETE('/api/courses/{course}/people/{person}', at(id))),
    onSuccess,
  })
  const takeBack = useMutation({
    mutationFn: (invitation: string) =>
      unwrap(api.DELETE('/api/invitations/{invitation}', {params: {path: {invitation}}})),
    onSuccess,
  })
  return (
    <>
      <RuledTable caption="People" heads={['Name', 'E-mail', 'Role', '']}>
        {data.people.map(({id, name, email, role}) => (
          <tr key={id}>
            <th scope="row">{name}</th>
            <td>{email}</td>
            <td>
              <RoleChoice
                label={`Role of ${name}`}
                role={role}
                onChoose={chosen => change.mutate({id, role: chosen})}
              />
            </td>
            <td>
              <Link component="button" variant="body2" aria-label={`Remove ${name}`} onClick={() => takeOff.mutate(id)}>
                Remove
              </Link>
            </td>
          </tr>
        ))}
        {data.invited.map(({id, email, role, until}) => (
          <tr key={id}>
            <td>invited until {when(until)}</td>
            <td>{email}</td>
            <td>{role}</td>
            <td>
              <Link
                component="button"
                variant="body2"
                aria-label={`Withdraw the invitation of ${email}`}
                onClick={() => takeBack.mutate(id)}
              >
                Withdraw
              </Link>
            </td>
          </tr>
        ))}
      </RuledTable>
      <ErrorText error={change.error ?? takeOff.error ?? takeBack.error} />
      <Ask courseId={courseId} onAsked={onSuccess} />
    </>
  )
}

function RoleChoice({label, role, onChoose}: {label: string; role: Role; onChoose: (role: Role) => void}) {
  return (
    <NativeSelect
      value={role}
      onChange={event => onChoose(event.target.value as Role)}
      inputProps={{'aria-label': label}}
      sx={{fontSize: 'inherit'}}
    >
      {Object.entries(ROLES).map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </NativeSelect>
  )
}

/** Somebody more, by e-mail. */
function Ask({courseId, onAsked}: {courseId: string; onAsked: () => Promise<void>}) {
  const [email, setEmail] = useState('')
  const [role, setRole] = useState<Role>('marker')
  const ask = useMutation({
    mutationFn: () =>
      unwrap(api.POST('/api/courses/{course}/invitations', {params: {path: {course: courseId}}, body: {email, role}})),
    onSuccess: async () => {
      setEmail('')
      await onAsked()
    },
  })
  return (
    <Box
      component="form"
      aria-label="Invite someone"
      noValidate
      onSubmit={event => {
        event.preventDefault()
        ask.mutate()
      }}
      sx={{mt: 2}}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
        <TextField
          label="E-mail of the person to invite"
          type="email"
          value={email}
          onChange={event => setEmail(event.target.value)}
          sx={{width: 300}}
        />
        <RoleChoice label="Role" role={role} onChoose={setRole} />
        <Button type="submit" variant="outlined" loading={ask.isPending}>
          Invite
        </Button>
      </Box>
      <ErrorText error={ask.error} />
      {ask.data !== undefined && (
        <Typography variant="body2" role="status" sx={{mt: 1, overflowWrap: 'anywhere'}}>
          {ask.data.link === null && 'A letter with a link is on its way. It works once, for 7 days.'}
          {ask.data.link !== null && (
            <>
              This server sends no mail: give them this address yourself. It works once, for 7 days, and is shown only
              now: <strong>{ask.data.link}</strong>
            </>
          )}
        </Typography>
      )}
    </Box>
  )
}
