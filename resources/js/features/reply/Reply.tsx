import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Link,
  Typography,
} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {desk} from '../../api/desk'
import {reply} from '../../api/replies'
import {Coded} from '../../ui/Coded'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {notJudged} from '../../lib/cost'
import {PdfLink} from '../../ui/PdfLink'
import {PencilReasons} from '../frame/PencilReasons'
import {Empty, ErrorText} from '../../ui/Remark'
import {when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {openOf} from './content'
import {Paper} from './Paper'

export const Reply = () => (
  <Screen>
    <ReplyScreen />
  </Screen>
)

function ReplyScreen() {
  const {id = ''} = useParams()
  const {data: place} = useSuspenseQuery(desk(id))
  const {data} = useSuspenseQuery(reply(id))
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [isTold, setTold] = useState(true)
  const letters = isTold && data.email !== ''
  const release = useMutation({
    mutationFn: () =>
      unwrap(api.POST('/api/hand-ins/{handIn}/replies', {params: {path: {handIn: id}}, body: {letters}})),
    onSuccess: () => queries.invalidateQueries(),
  })
  useKeys([
    {key: 'd', does: 'back to the desk', run: () => void navigate(`/hand-ins/${id}`)},
    {key: 'p', does: 'print', run: () => print()},
  ])
  const last = data.released[0]
  const [asReleased, setAsReleased] = useState(true)
  const [isAsking, setAsking] = useState(false)
  const open = openOf(data.draft)
  const steps = [
    {name: place.course, to: `/courses/${place.courseId}`},
    {name: place.assignment, to: `/assignments/${place.assignmentId}`},
    {name: place.student, to: `/hand-ins/${id}`},
    {name: 'Reply'},
  ]
  return (
    <Frame steps={steps}>
      {isAsking && (
        <Provisional
          open={open}
          onCancel={() => setAsking(false)}
          onRelease={() => {
            setAsking(false)
            release.mutate()
          }}
        />
      )}
      <Box className="not-printed" sx={{display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 2, mb: 2}}>
        <Typography variant="body2" sx={{flex: 1, color: data.changedSince ? 'desk.waits' : 'text.secondary'}}>
          {last === undefined
            ? 'A draft. The student sees nothing until you release it.'
            : data.changedSince
              ? `${asReleased ? `This is what was released, ${when(last.releasedAt)}.` : 'This is what would be released now.'} Releasing again supersedes it.`
              : `Released ${when(last.releasedAt)}, just as it stands here.`}
        </Typography>
        <Link variant="body2" href={`/api/hand-ins/${id}/reply.html`}>
          As one page
        </Link>
        <PdfLink href={`/api/hand-ins/${id}/reply.pdf`} name={`reply, ${place.student}`} />
        <Link variant="body2" href={`/api/hand-ins/${id}/reply.md`}>
          {last === undefined ? 'Draft' : 'Released reply'} as Markdown
        </Link>
        <Button onClick={() => print()}>Print</Button>
        {data.changedSince && data.email !== '' && (
          <FormControlLabel
            control={
              <Checkbox size="small" checked={isTold} onChange={event => setTold(event.target.checked)} sx={{p: 0.5}} />
            }
            label={<Typography variant="body2">with a letter</Typography>}
            title={`A letter with the link to the reply goes to ${data.email}`}
          />
        )}
        {data.changedSince && (
          <Button
            variant="contained"
            loading={release.isPending}
            onClick={() => (open > 0 ? setAsking(true) : release.mutate())}
          >
            {last === undefined ? 'Release' : 'Release again'}
          </Button>
        )}
      </Box>
      <ErrorText error={release.error} />
      {data.changedSince && (
        <Box className="not-printed">
          <PencilReasons
            count={data.reasons}
            decide={state =>
              unwrap(api.POST('/api/hand-ins/{handIn}/reasons', {params: {path: {handIn: id}}, body: {state}}))
            }
          />
        </Box>
      )}
      {last !== undefined && data.changedSince ? (
        <Box sx={{display: 'grid', gridTemplateColumns: 'minmax(0, 780px) minmax(16rem, 1fr)', gap: 4}}>
          <Paper content={asReleased ? last.content : data.draft} />
          <Changes changes={data.changes} asReleased={asReleased} onTurn={() => setAsReleased(!asReleased)} />
        </Box>
      ) : (
        <Paper content={last?.content ?? data.draft} />
      )}
    </Frame>
  )
}

/** A total with something in it that nobody has judged yet is asked about before it goes out. */
function Provisional({open, onCancel, onRelease}: {open: number; onCancel: () => void; onRelease: () => void}) {
  return (
    <Dialog open onClose={onCancel} aria-labelledby="provisional-title">
      <DialogTitle id="provisional-title">Release provisional points?</DialogTitle>
      <DialogContent>
        <Typography variant="body1">
          {notJudged(open)}. The reply says so, and the student reads the total as provisional.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onCancel}>Judge first</Button>
        <Button variant="contained" onClick={onRelease}>
          Release as it is
        </Button>
      </DialogActions>
    </Dialog>
  )
}

/** What is otherwise now than in the reply that was released, beside it. */
function Changes({
  changes,
  asReleased,
  onTurn,
}: {
  changes: Schemas['ReplyChange'][]
  asReleased: boolean
  onTurn: () => void
}) {
  return (
    <Box component="section" aria-label="Changed since" className="not-printed" sx={{pt: 2}}>
      <Typography variant="h2" gutterBottom>
        Changed since
      </Typography>
      <Button variant="outlined" onClick={onTurn} sx={{mb: 2}}>
        {asReleased ? 'Show it as it would be now' : 'Show it as released'}
      </Button>
      {changes.length === 0 && <Empty>Only the wording of a title or an outcome.</Empty>}
      <Box component="ul" sx={{listStyle: 'none', p: 0, m: 0}}>
        {changes.map((change, index) => (
          <Box component="li" key={index} sx={{py: 1, borderTop: 1, borderColor: 'divider'}}>
            <Typography variant="body2" color="textSecondary">
              {change.kind === 'points' ? 'Points' : change.kind === 'added' ? 'Added' : 'Taken out'}: {change.place}
            </Typography>
            <Typography
              variant="body1"
              sx={{
                overflowWrap: 'anywhere',
                textDecoration: change.kind === 'taken out' ? 'line-through' : 'none',
                color: change.kind === 'taken out' ? 'text.secondary' : 'desk.ink',
              }}
            >
              <Coded>{change.text}</Coded>
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
