import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Switch,
  Typography,
} from '@mui/material'
import {useMutation, useQuery, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {readyReplies} from '../../api/replies'
import {notJudged} from '../../lib/cost'
import {ErrorText} from '../../ui/Remark'
import {PencilReasons} from '../frame/PencilReasons'
import {many} from '../../lib/when'

/** Releases the replies of a class: all that are ready, after one honest question. */
export function ReleaseAll({assignmentId}: {assignmentId: string}) {
  const [isOpen, setOpen] = useState(false)
  return (
    <>
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Release replies
      </Button>
      {isOpen && <Asking assignmentId={assignmentId} onClose={() => setOpen(false)} />}
    </>
  )
}

function Asking({assignmentId, onClose}: {assignmentId: string; onClose: () => void}) {
  const {data, error} = useQuery(readyReplies(assignmentId))
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [isTold, setTold] = useState(false)
  const queries = useQueryClient()
  const chosen = (data ?? []).filter(one => !left.has(one.handInId))
  const reachable = chosen.filter(one => one.hasAddress).length
  const release = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST('/api/assignments/{assignment}/replies', {
          params: {path: {assignment: assignmentId}},
          body: {handIns: chosen.map(one => one.handInId), letters: isTold},
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  })
  return (
    <Dialog open onClose={onClose} aria-labelledby="release-title" maxWidth="sm" fullWidth>
      <DialogTitle id="release-title">Release replies</DialogTitle>
      <DialogContent>
        <ErrorText error={error ?? release.error} />
        {release.data !== undefined ? (
          <Typography variant="body1" role="status">
            {released(release.data)}
          </Typography>
        ) : (
          <>
            <Typography variant="body1" gutterBottom>
              {data === undefined ? 'Looking through the class…' : question(chosen, data.length)}
            </Typography>
            <PencilReasons
              count={chosen.reduce((sum, one) => sum + one.reasons, 0)}
              decide={state =>
                unwrap(
                  api.POST('/api/assignments/{assignment}/reasons', {
                    params: {path: {assignment: assignmentId}},
                    body: {state, handIns: chosen.map(one => one.handInId)},
                  }),
                )
              }
            />
            {data?.map(one => (
              <Box key={one.handInId}>
                <FormControlLabel
                  control={
                    <Checkbox
                      size="small"
                      sx={{py: 0.25}}
                      checked={!left.has(one.handInId)}
                      onChange={(_event, isChosen) =>
                        setLeft(old => {
                          const next = new Set(old)
                          if (isChosen) next.delete(one.handInId)
                          else next.add(one.handInId)
                          return next
                        })
                      }
                    />
                  }
                  label={
                    <Typography variant="body2">
                      {one.student}
                      <Box
                        component="span"
                        sx={{color: one.pencilled + one.open > 0 ? 'desk.waits' : 'text.secondary'}}
                      >
                        {`: ${stateOf(one)}`}
                      </Box>
                    </Typography>
                  }
                />
              </Box>
            ))}
            {reachable > 0 && (
              <FormControlLabel
                sx={{mt: 1}}
                control={<Switch checked={isTold} onChange={event => setTold(event.target.checked)} />}
                label={
                  <Typography variant="body2">
                    Send {reachable === chosen.length ? 'each' : `the ${reachable} with an address`} a letter with the
                    link to the reply
                  </Typography>
                }
              />
            )}
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{release.data === undefined ? 'Cancel' : 'Close'}</Button>
        {release.data === undefined && (
          <Button
            variant="contained"
            disabled={chosen.length === 0}
            loading={release.isPending}
            onClick={() => release.mutate()}
          >
            Release {chosen.length}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  )
}

/** What went out, and who has to be told by hand. */
export function released({released, letters, withoutAddress}: Schemas['Released']): string {
  return [
    `${many(released, 'reply', 'replies')} released.`,
    letters > 0 ? ` ${many(letters, 'letter')} on the way.` : '',
    withoutAddress.length > 0 ? ` No address is known of ${withoutAddress.join(', ')}.` : '',
  ].join('')
}

/** What is asked before anything goes out: how many, and what stays behind in pencil. */
export function question(chosen: Schemas['ReadyReply'][], all: number): string {
  if (all === 0) return 'There is nothing to release: every reply is out as it stands, or its hand-in is set aside.'
  const pencilled = chosen.filter(one => one.pencilled > 0).length
  const provisional = chosen.filter(one => one.open > 0).length
  return [
    `${many(chosen.length, 'reply', 'replies')} will go out. A released reply does not change; a new one supersedes it.`,
    pencilled > 0 ? ` In ${pencilled} of them there is still pencil, which the student will not see.` : '',
    provisional > 0 ? ` In ${provisional} the points are provisional, as something is not judged yet.` : '',
  ].join('')
}

const stateOf = ({inked, pencilled, reasons, open, again}: Schemas['ReadyReply']): string =>
  [
    `${inked} in ink`,
    pencilled > 0 ? `${pencilled} still in pencil` : '',
    reasons > 0 ? `${many(reasons, 'reason')} in pencil` : '',
    open > 0 ? notJudged(open) : '',
    again ? 'supersedes one' : '',
  ]
    .filter(words => words !== '')
    .join(', ')
