import {Link, Typography} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {api, unwrap, type Schemas} from '../../api/client'

/** What was done with slips of a class, and what takes it back. */
export interface Done {
  words: string
  batch: string
}

type Asked = Pick<Schemas['SlipRequest'], 'does'> & Partial<Pick<Schemas['SlipRequest'], 'words' | 'chosen'>>

/** Decides on one kind of slip in a class, or writes a note to it: all of its places, or those that are chosen. */
export const useDecision = (
  assignment: string,
  {rule, variant}: Pick<Schemas['ClassSlip'], 'rule' | 'variant'>,
  words: (told: Schemas['DecidedAlike'], does: Asked['does']) => string,
  onDone: (done: Done) => Promise<unknown>,
) =>
  useMutation({
    mutationFn: async ({does, words: written = null, chosen = null}: Asked): Promise<Done> => {
      const told = await unwrap(
        api.POST('/api/assignments/{assignment}/slips', {
          params: {path: {assignment}},
          body: {rule, variant, does, words: written, chosen},
        }),
      )
      return {batch: told.batch, words: words(told, does)}
    },
    onSuccess: onDone,
  })

/** What was done last, with a way back. */
export function LastDone({last, onBack}: {last: Done; onBack: (batch: string) => void}) {
  return (
    <Typography variant="body2" role="status">
      {last.words}{' '}
      <Link component="button" variant="body2" underline="always" onClick={() => onBack(last.batch)}>
        Undo
      </Link>
    </Typography>
  )
}

/** Takes back what was done together. */
export const useWayBack = (onBack: () => Promise<unknown>) =>
  useMutation({
    mutationFn: (batch: string) => unwrap(api.DELETE('/api/decided-alike/{batch}', {params: {path: {batch}}})),
    onSuccess: onBack,
  })
