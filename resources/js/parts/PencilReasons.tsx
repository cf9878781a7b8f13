import {Box, Button, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap, type Schemas} from '../api/client'
import {ErrorText} from './Remark'
import {many} from './when'

type State = 'inked' | 'rubbed-out'

/**
 * Before replies go out: how many lines they have that say why points were lost, without advice, as nobody inked them;
 * and a way to ink or rub out all of them together, with one undo.
 */
export function PencilReasons({
  count,
  decide,
}: {
  count: number
  decide: (state: State) => Promise<Schemas['DecidedAlike']>
}) {
  const queries = useQueryClient()
  const [done, setDone] = useState<(Schemas['DecidedAlike'] & {state: State}) | null>(null)
  const all = useMutation({
    mutationFn: async (state: State) => ({...(await decide(state)), state}),
    onSuccess: async answer => {
      setDone(answer)
      await queries.invalidateQueries()
    },
  })
  const undo = useMutation({
    mutationFn: (batch: string) => unwrap(api.DELETE('/api/decided-alike/{batch}', {params: {path: {batch}}})),
    onSuccess: async () => {
      setDone(null)
      await queries.invalidateQueries()
    },
  })
  if (count === 0 && done === null) return null
  return (
    <Box role="group" aria-label="Reasons in pencil" sx={{my: 1.5}}>
      {count > 0 && (
        <>
          <Typography variant="body1">
            {many(count, 'reason')} for lost points {count === 1 ? 'is' : 'are'} still in pencil. The student reads{' '}
            {count === 1 ? 'it as a short line' : 'them as short lines'} without advice.
          </Typography>
          <Button size="small" loading={all.isPending} onClick={() => all.mutate('inked')}>
            Ink all {count}
          </Button>{' '}
          <Button size="small" loading={all.isPending} onClick={() => all.mutate('rubbed-out')}>
            Rub out all {count}
          </Button>
        </>
      )}
      {done !== null && (
        <Typography variant="body2" role="status">
          {done.state === 'inked' ? 'Inked' : 'Rubbed out'} {many(done.findings, 'reason')}.{' '}
          <Button size="small" loading={undo.isPending} onClick={() => undo.mutate(done.batch)}>
            Undo
          </Button>
        </Typography>
      )}
      <ErrorText error={all.error ?? undo.error} />
    </Box>
  )
}
