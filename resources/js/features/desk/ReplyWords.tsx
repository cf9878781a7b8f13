import {Box, Button, Typography} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {api, unwrap} from '../../api/client'
import {ErrorText} from '../../ui/Remark'
import {useDesk} from './deskState'
import {KIND_WORDS, newDraft, WHOLE} from './margin/marks'

/** The words around the reply: begun from what the outcomes say, and changed as the instructor likes. */
export function ReplyWords() {
  const {desk, writeDraft} = useDesk()
  const offer = useMutation({
    mutationFn: (kind: 'opening' | 'closing') =>
      unwrap(api.GET('/api/hand-ins/{handIn}/words', {params: {path: {handIn: desk.id}}})).then(words =>
        newDraft(WHOLE, null, {kind, body: words[kind]}),
      ),
    onSuccess: writeDraft,
  })
  const missing = (['opening', 'closing'] as const).filter(kind => !desk.notes.some(one => one.kind === kind))
  if (missing.length === 0) return null
  return (
    <Box sx={{mt: 2}}>
      <Typography variant="body2" color="textSecondary" component="span" sx={{mr: 1}}>
        The reply has no {missing.map(kind => KIND_WORDS[kind]).join(' and no ')} yet.
      </Typography>
      {missing.map(kind => (
        <Button key={kind} loading={offer.isPending} onClick={() => offer.mutate(kind)}>
          Draft the {KIND_WORDS[kind]}
        </Button>
      ))}
      <ErrorText error={offer.error} />
    </Box>
  )
}
