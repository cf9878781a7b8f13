import {Link, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {ErrorText} from '../../ui/Remark'
import {many, when} from '../../lib/when'

/** What was dropped last, and the way to take all of it back; also after leaving and coming back. */
export function LastDrop({assignmentId, arrivals}: {assignmentId: string; arrivals: Schemas['ArrivalView'][]}) {
  const queries = useQueryClient()
  const [last] = arrivals
    .filter(one => one.dropId !== null)
    .sort((one, other) => other.arrivedAt.localeCompare(one.arrivedAt))
  const drop = last?.dropId ?? null
  const back = useMutation({
    mutationFn: (id: string) =>
      unwrap(
        api.DELETE('/api/assignments/{assignment}/drops/{drop}', {
          params: {path: {assignment: assignmentId, drop: id}},
        }),
      ),
    onSettled: () => queries.invalidateQueries(),
  })
  const files = arrivals.filter(one => one.dropId === drop && one.parentId === null).length
  return (
    <>
      {back.data !== undefined && (
        <Typography variant="body2" role="status" gutterBottom>
          {many(back.data.gone, 'file')} taken back.
          {back.data.kept > 0 && ` ${many(back.data.kept, 'hand-in')} stayed, as somebody has written to them.`}
        </Typography>
      )}
      {last !== undefined && drop !== null && (
        <Typography variant="body2" color="textSecondary" gutterBottom>
          The last drop was {many(files, 'file')}, {when(last.arrivedAt)}.{' '}
          <Link component="button" underline="always" disabled={back.isPending} onClick={() => back.mutate(drop)}>
            Take this drop back
          </Link>
        </Typography>
      )}
      <ErrorText error={back.error} />
    </>
  )
}
