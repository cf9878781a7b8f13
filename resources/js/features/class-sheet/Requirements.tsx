import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Link,
  TextField,
  Typography,
} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {Link as RouterLink} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'
import {totalOf} from './order'

/** What is judged by eye, one requirement for the whole class at a time; and what nobody is marked on. */
export function Requirements({assignmentId, sheet}: {assignmentId: string; sheet: Schemas['ClassSheet']}) {
  const [isOpen, setOpen] = useState(false)
  const toJudge = sheet.requirements.filter((one, at) => !one.leftOut && openIn(sheet, at) > 0).length
  return (
    <>
      <Button variant="outlined" onClick={() => setOpen(true)}>
        {toJudge === 0 ? 'Requirements' : `Requirements, ${toJudge} to judge`}
      </Button>
      {isOpen && <Listed assignmentId={assignmentId} sheet={sheet} onClose={() => setOpen(false)} />}
    </>
  )
}

/** How many hand-ins wait to be judged on a requirement. */
const openIn = (sheet: Schemas['ClassSheet'], at: number): number =>
  sheet.rows.filter(row => row.handInId !== null && row.cells[at] != null && row.cells[at].share === null).length

function Listed({
  assignmentId,
  sheet,
  onClose,
}: {
  assignmentId: string
  sheet: Schemas['ClassSheet']
  onClose: () => void
}) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="requirements-title" maxWidth="md" fullWidth>
      <DialogTitle id="requirements-title">Requirements</DialogTitle>
      <DialogContent>
        <Typography variant="body1" gutterBottom>
          Everyone is marked out of {many(totalOf(sheet.requirements), 'point')}. A requirement that is left out counts
          for nobody.
        </Typography>
        {sheet.requirements.map((one, at) => (
          <Line key={one.id} assignmentId={assignmentId} one={one} open={openIn(sheet, at)} />
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  )
}

function Line({assignmentId, one, open}: {assignmentId: string; one: Schemas['SheetRequirement']; open: number}) {
  const queries = useQueryClient()
  const [reason, setReason] = useState<string | null>(null)
  const path = {assignment: assignmentId, requirement: one.id}
  const settle = async () => {
    setReason(null)
    await queries.invalidateQueries()
  }
  const leaveOut = useMutation({
    mutationFn: (words: string) =>
      unwrap(api.PUT('/api/assignments/{assignment}/left-out/{requirement}', {params: {path}, body: {reason: words}})),
    onSuccess: settle,
  })
  const countAgain = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/assignments/{assignment}/left-out/{requirement}', {params: {path}})),
    onSuccess: settle,
  })
  return (
    <Box sx={{borderTop: 1, borderColor: 'divider', py: 0.75}}>
      <Box sx={{display: 'flex', gap: 2, alignItems: 'baseline'}}>
        <Typography
          variant="body1"
          sx={{flex: 1, ...(one.leftOut ? {textDecoration: 'line-through', color: 'text.secondary'} : {})}}
        >
          {one.title}
        </Typography>
        <Typography variant="body2" color="textSecondary" sx={{whiteSpace: 'nowrap'}}>
          {many(one.possible, 'point')}
        </Typography>
        <Typography variant="body2" sx={{flex: '0 0 8rem', color: open > 0 ? 'desk.waits' : 'text.secondary'}}>
          {one.leftOut ? 'left out' : open > 0 ? `${open} not judged yet` : 'judged'}
        </Typography>
        <Box sx={{flex: '0 0 7rem'}}>
          {one.byEye && !one.leftOut && (
            <Link component={RouterLink} variant="body2" to={`/assignments/${assignmentId}/judging/${one.id}`}>
              Judge by eye
            </Link>
          )}
        </Box>
        <Box sx={{flex: '0 0 7rem', textAlign: 'right'}}>
          {one.leftOut ? (
            <Link component="button" variant="body2" onClick={() => countAgain.mutate()}>
              Count again
            </Link>
          ) : (
            reason === null && (
              <Link component="button" variant="body2" onClick={() => setReason('')}>
                Leave out
              </Link>
            )
          )}
        </Box>
      </Box>
      {reason !== null && (
        <Box
          component="form"
          onSubmit={event => {
            event.preventDefault()
            leaveOut.mutate(reason)
          }}
          sx={{display: 'flex', gap: 1, alignItems: 'center', my: 1}}
        >
          <TextField
            label="Reason, for those who mark"
            value={reason}
            autoFocus
            fullWidth
            onChange={event => setReason(event.target.value)}
          />
          <Button type="submit" variant="contained" disabled={reason.trim() === ''} loading={leaveOut.isPending}>
            Leave out
          </Button>
          <Button onClick={() => setReason(null)}>Cancel</Button>
        </Box>
      )}
      <ErrorText error={leaveOut.error ?? countAgain.error} />
    </Box>
  )
}
