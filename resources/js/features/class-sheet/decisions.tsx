import {useMutation} from '@tanstack/react-query'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import type {Done} from '../frame/LastDone'

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
