import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap, type Schemas} from '../../api/client'
import {desk} from '../../api/queries'
import {Coded} from '../../parts/Coded'
import {ErrorText} from '../../parts/Remark'
import {many} from '../../parts/when'

/** Places that are shown for one requirement; the rest is in the margin. */
const MOST_SHOWN = 6

/** The requirements and their points, folded to one line until they are wanted. */
export function Points({
  handIn,
  outcomes,
  score,
}: {
  handIn: string
  outcomes: Schemas['DeskOutcome'][]
  score: Schemas['ScoreView']
}) {
  const [open, setOpen] = useState(false)
  const failing = outcomes.filter(outcome => outcome.outcome !== 'met').length
  if (outcomes.length === 0) return null
  return (
    <Box
      component="section"
      aria-label="Points"
      sx={{borderBottom: 1, borderColor: 'divider', px: 2, py: 1, maxHeight: '45vh', overflow: 'auto', flexShrink: 0}}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 1.5}}>
        <Typography variant="h3" component="h2">
          {score.awarded} of {many(score.possible, 'point')}
        </Typography>
        <Typography variant="body2" color="textSecondary" sx={{flex: 1}}>
          {failing === 0 ? 'all requirements met' : `${failing} of ${outcomes.length} not met`}
        </Typography>
        <Link component="button" variant="body2" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Fold' : 'Unfold'}
        </Link>
      </Box>
      {open && outcomes.map(outcome => <Requirement key={outcome.requirement} handIn={handIn} outcome={outcome} />)}
      {open &&
        score.others.map(line => (
          <Box key={line.title} sx={{borderTop: 1, borderColor: 'divider', py: 0.75, mt: 0.75}}>
            <Typography variant="body2" sx={{display: 'flex', gap: 1, fontWeight: 600}}>
              <span style={{flex: 1}}>{line.title}</span>
              {line.points}
            </Typography>
            <Typography variant="body2" color="textSecondary">
              {line.how}
            </Typography>
          </Box>
        ))}
    </Box>
  )
}

function Requirement({handIn, outcome}: {handIn: string; outcome: Schemas['DeskOutcome']}) {
  const [draft, setDraft] = useState<{points: string; reason: string} | null>(null)
  const queries = useQueryClient()
  const path = {handIn, requirement: outcome.requirement}
  const settle = async () => {
    setDraft(null)
    await queries.invalidateQueries({queryKey: desk(handIn).queryKey})
  }
  const give = useMutation({
    mutationFn: ({points, reason}: {points: string; reason: string}) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/marks/{requirement}', {
          params: {path},
          body: {points: Number(points.replace(',', '.')), reason},
        }),
      ),
    onSuccess: settle,
  })
  const takeBack = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/hand-ins/{handIn}/marks/{requirement}', {params: {path}})),
    onSuccess: settle,
  })
  return (
    <Box sx={{borderTop: 1, borderColor: 'divider', py: 0.75, mt: 0.75}}>
      <Box sx={{display: 'flex', gap: 1, alignItems: 'baseline'}}>
        <Typography variant="body2" sx={{flex: 1, fontWeight: 600}}>
          {outcome.title}
        </Typography>
        {draft === null && (
          <Link
            component="button"
            variant="body2"
            onClick={() => setDraft({points: String(outcome.awarded), reason: outcome.reason ?? ''})}
          >
            Give other points
          </Link>
        )}
        <Typography
          variant="body2"
          sx={{
            color: outcome.reason === null ? 'desk.pencil' : 'desk.ink',
            fontWeight: outcome.reason === null ? 400 : 700,
          }}
        >
          {outcome.awarded} of {outcome.possible}
        </Typography>
      </Box>
      <Typography variant="body2" color="textSecondary">
        {outcome.outcome}: <Coded>{outcome.measured}</Coded>; expected: <Coded>{outcome.expected}</Coded>
        {outcome.how !== '' && `; points: ${outcome.how}`}
      </Typography>
      {outcome.shortfalls.slice(0, MOST_SHOWN).map(place => (
        <Typography
          key={`${place.file} ${place.line} ${place.message}`}
          variant="body2"
          sx={{pl: 1.5, overflowWrap: 'anywhere'}}
        >
          {place.file}
          {place.line === null ? '' : `, line ${place.line}`}: <Coded>{place.message}</Coded>
        </Typography>
      ))}
      {outcome.shortfalls.length > MOST_SHOWN && (
        <Typography variant="body2" sx={{pl: 1.5}}>
          and {outcome.shortfalls.length - MOST_SHOWN} more
        </Typography>
      )}
      {outcome.reason !== null && (
        <Typography variant="body2" sx={{color: 'desk.ink'}}>
          {outcome.computed} were computed. {outcome.reason}{' '}
          <Link component="button" underline="always" onClick={() => takeBack.mutate()}>
            Back to {outcome.computed}
          </Link>
        </Typography>
      )}
      {draft !== null && (
        <Box
          component="form"
          onSubmit={event => {
            event.preventDefault()
            give.mutate(draft)
          }}
          sx={{display: 'grid', gridTemplateColumns: '5rem 1fr', gap: 1, mt: 1}}
        >
          <TextField
            label="Points"
            value={draft.points}
            autoFocus
            onChange={event => setDraft({...draft, points: event.target.value})}
            slotProps={{htmlInput: {inputMode: 'decimal'}}}
          />
          <TextField
            label="Reason, for the student"
            value={draft.reason}
            onChange={event => setDraft({...draft, reason: event.target.value})}
          />
          <Box sx={{gridColumn: '1 / -1'}}>
            <ErrorText error={give.error} />
            <Button type="submit" variant="contained" loading={give.isPending}>
              Keep
            </Button>{' '}
            <Button onClick={() => setDraft(null)}>Leave</Button>
          </Box>
        </Box>
      )}
    </Box>
  )
}
