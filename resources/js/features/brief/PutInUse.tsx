import {Box, Button, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useNavigate} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'

/** Nothing is in use until somebody says so, with what it changes for those who handed in already. */
export function PutInUse({
  id,
  draft,
  reading,
  pencilled,
}: {
  id: string
  draft: Schemas['BriefDraftView']
  reading: Schemas['BriefReading'] | undefined
  /** how many sentences are only proposed */
  pencilled: number
}) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const params = {path: {assignment: id}}
  const source = reading?.yaml ?? ''
  const look = useMutation({
    mutationFn: () => unwrap(api.POST('/api/assignments/{assignment}/brief/trial', {params, body: {source}})),
  })
  const use = useMutation({
    mutationFn: () => unwrap(api.PUT('/api/assignments/{assignment}/brief', {params, body: {source}})),
    onSuccess: async () => {
      await queries.invalidateQueries()
      await navigate(`/assignments/${id}`)
    },
  })
  const strike = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/assignments/{assignment}/brief/draft', {params})),
    onSuccess: async () => {
      await queries.invalidateQueries()
      await navigate(`/assignments/${id}`)
    },
  })
  const problems = reading?.problems ?? []
  return (
    <Box component="section" aria-label="Use this brief" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 3}}>
      {problems.length > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{mb: 1}}>
          You can use this brief when every sentence is complete. What is missing is beside each. First: {problems[0]}
        </Typography>
      )}
      {pencilled > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{mb: 1}}>
          {many(pencilled, 'sentence')} in pencil {pencilled === 1 ? 'is' : 'are'} not part of it and will be removed
          when you use this brief.
        </Typography>
      )}
      <ErrorText error={use.error ?? look.error ?? strike.error} />
      <Box sx={{display: 'flex', gap: 2}}>
        <Button
          variant="contained"
          disabled={reading === undefined || problems.length > 0}
          loading={use.isPending}
          onClick={() => use.mutate()}
        >
          Use this brief
        </Button>
        <Button
          disabled={reading === undefined || problems.length > 0}
          loading={look.isPending}
          onClick={() => look.mutate()}
        >
          Preview the changes
        </Button>
        {draft.version > 0 && <Button onClick={() => strike.mutate()}>Delete this draft</Button>}
      </Box>
      {look.data !== undefined && <Changes {...look.data} />}
    </Box>
  )
}

function Changes({handIns, left}: Schemas['BriefTrialView']) {
  const changed = handIns.filter(one => one.changes.length > 0)
  return (
    <Box sx={{mt: 2}} role="status">
      <Typography variant="body1">
        {handIns.length === 0
          ? 'Nobody has handed in yet, so it changes nothing for anybody.'
          : `It changes something for ${changed.length} of ${many(handIns.length, 'hand-in')}.`}
        {left > 0 && ` There was no time for ${left} more.`}
      </Typography>
      {changed.map(one => (
        <Box key={one.handInId} sx={{borderTop: 1, borderColor: 'divider', py: 0.75}}>
          <Typography variant="body2" sx={{fontWeight: 600}}>
            {one.student}: {one.awarded} of {one.possible} now, {one.awardedAfter} of {one.possibleAfter} then
          </Typography>
          {one.changes.map(change => (
            <Typography key={change.title} variant="body2" color="textSecondary">
              <Coded>{change.title}</Coded>: {change.before ?? 'not asked'} now, {change.after ?? 'not asked'} then
            </Typography>
          ))}
        </Box>
      ))}
    </Box>
  )
}
