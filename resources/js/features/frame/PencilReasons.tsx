import {Box, Button, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import type {Schemas} from '../../lib/schemas'
import {LastDone, useWayBack, type Done} from './LastDone'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'

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
  const [done, setDone] = useState<Done | null>(null)
  const settle = async (last: Done | null) => {
    setDone(last)
    await queries.invalidateQueries()
  }
  const all = useMutation({
    mutationFn: decide,
    onSuccess: ({batch, findings}, state) =>
      settle({batch, words: `${state === 'inked' ? 'Inked' : 'Rubbed out'} ${many(findings, 'reason')}.`}),
  })
  const undo = useWayBack(() => settle(null))
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
      {done !== null && <LastDone last={done} onBack={undo.mutate} />}
      <ErrorText error={all.error ?? undo.error} />
    </Box>
  )
}
