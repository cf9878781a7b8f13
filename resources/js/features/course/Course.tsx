import {Box, Button, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {Link as RouterLink, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course} from '../../api/courses'
import {Frame} from '../frame/Frame'
import {InOrder, Movable} from '../../ui/InOrder'
import {Empty, ErrorText} from '../../ui/Remark'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'

export const Course = () => (
  <Screen>
    <CourseScreen />
  </Screen>
)

function CourseScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(course(id))
  const mayDirect = data.role === 'instructor'
  const present = data.students.filter(({aside}) => !aside)
  return (
    <Frame steps={[{name: data.title}]}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 3}}>
        <Typography variant="h1" sx={{flex: 1}}>
          {data.title}
        </Typography>
        <Link component={RouterLink} variant="body2" to={`/courses/${id}/gradebook`}>
          Gradebook
        </Link>
        <Link component={RouterLink} variant="body2" to={`/courses/${id}/remarks`}>
          Stock remarks
        </Link>
        {mayDirect && (
          <>
            <Link component={RouterLink} variant="body2" to={`/courses/${id}/settings`}>
              The course itself
            </Link>
            <Button component={RouterLink} to={`/courses/${id}/new-work`} variant="outlined">
              Set new work
            </Button>
          </>
        )}
      </Box>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        {[data.school, data.term].filter(name => name !== '').join(', ')}
        {data.archived && ' (put away)'}
      </Typography>
      <Box sx={{display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 16rem', gap: 6, mt: 3}}>
        <section aria-labelledby="assignments">
          <Typography variant="h2" id="assignments" gutterBottom>
            Assignments
          </Typography>
          {data.assignments.length === 0 && (
            <Empty>{mayDirect ? 'No work yet. Set the first piece above.' : 'No work has been set yet.'}</Empty>
          )}
          {mayDirect ? (
            <ByHand courseId={id} lines={data.assignments} isOrdered={data.ordered} />
          ) : (
            data.assignments.map(line => (
              <Box key={line.id} sx={{borderTop: 1, borderColor: 'divider', py: 1.25}}>
                <AssignmentRow line={line} />
              </Box>
            ))
          )}
        </section>
        <section aria-labelledby="roster">
          <Box sx={{display: 'flex', alignItems: 'baseline', justifyContent: 'space-between'}}>
            <Typography variant="h2" id="roster" gutterBottom>
              Roster
            </Typography>
            {mayDirect && (
              <Link component={RouterLink} variant="body2" to={`/courses/${id}/roster`}>
                Change it
              </Link>
            )}
          </Box>
          {present.length === 0 && <Empty>No students yet. Paste them from a spreadsheet.</Empty>}
          <Box component="ul" sx={{listStyle: 'none', p: 0, m: 0}}>
            {present.map(student => (
              <Box component="li" key={student.id} sx={{py: 0.4, display: 'flex', justifyContent: 'space-between'}}>
                <Typography variant="body2">{student.name}</Typography>
                <Typography variant="body2" color="textSecondary">
                  {student.handle}
                </Typography>
              </Box>
            ))}
          </Box>
        </section>
      </Box>
    </Frame>
  )
}

/** Assignments in the order of their due times, or in one that is made by hand. */
function ByHand({
  courseId,
  lines,
  isOrdered,
}: {
  courseId: string
  lines: Schemas['AssignmentLine'][]
  isOrdered: boolean
}) {
  const queries = useQueryClient()
  const {queryKey} = course(courseId)
  const put = useMutation({
    mutationFn: (ids: string[]) =>
      unwrap(api.PUT('/api/courses/{course}/order', {params: {path: {course: courseId}}, body: {ids}})),
    onMutate: ids => {
      const before = queries.getQueryData(queryKey)
      if (before === undefined || ids.length === 0) return
      const place = (line: Schemas['AssignmentLine']) => ids.indexOf(line.id)
      const assignments = [...before.assignments].sort((one, other) => place(one) - place(other))
      queries.setQueryData(queryKey, {...before, assignments})
    },
    onSettled: () => queries.invalidateQueries({queryKey}),
  })
  const move = (from: number, to: number) => {
    const ids = lines.map(({id}) => id)
    ids.splice(to, 0, ...ids.splice(from, 1))
    put.mutate(ids)
  }
  return (
    <>
      <InOrder label="Assignments" names={lines.map(({id}) => id)} onMove={move}>
        {lines.map((line, at) => (
          <Movable key={line.id} id={line.id} at={at} title={line.title}>
            <AssignmentRow line={line} />
          </Movable>
        ))}
      </InOrder>
      <ErrorText error={put.error} />
      {isOrdered && (
        <Typography variant="body2" color="textSecondary" sx={{mt: 1}}>
          This order was made by hand.{' '}
          <Link component="button" variant="body2" underline="always" onClick={() => put.mutate([])}>
            Go by due times again
          </Link>
        </Typography>
      )}
    </>
  )
}

function AssignmentRow({line}: {line: Schemas['AssignmentLine']}) {
  const toAnswer = line.handedIn - line.replied
  return (
    <>
      <Box sx={{display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', gap: 2}}>
        <Typography variant="h3">
          <Link component={RouterLink} to={`/assignments/${line.id}`}>
            {line.title}
          </Link>
        </Typography>
        <Typography variant="body2" color="textSecondary">
          {line.dueAt === null ? 'no due time' : `due ${when(line.dueAt)}`}
          {line.closed && ', closed'}
        </Typography>
      </Box>
      <Typography variant="body1" sx={{my: 0.5}}>
        {line.summary}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        {line.handedIn} of {line.students} handed in
        {toAnswer > 0 && (
          <Box component="span" sx={{color: 'desk.waits'}}>
            , {toAnswer} to answer
          </Box>
        )}
        {line.replied > 0 && `, ${line.replied} answered`}
        {line.unmatched > 0 && (
          <Box component="span" sx={{color: 'desk.waits'}}>
            , {many(line.unmatched, 'archive')} to match
          </Box>
        )}
        {!line.hasBrief && (
          <Box component="span" sx={{color: 'desk.waits'}}>
            , no brief yet
          </Box>
        )}
      </Typography>
    </>
  )
}
