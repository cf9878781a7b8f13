import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {me} from '../../api/account'
import {shelf} from '../../api/courses'
import {Frame} from '../frame/Frame'
import {Empty} from '../../ui/Remark'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'

export const Shelf = () => (
  <Screen>
    <ShelfScreen />
  </Screen>
)

function ShelfScreen() {
  const {data} = useSuspenseQuery(shelf)
  const {opensCourses} = useSuspenseQuery(me).data
  const away = data.courses.filter(({archived}) => archived)
  return (
    <Frame steps={[{name: 'Shelf'}]}>
      <Typography variant="h1" gutterBottom>
        What waits for you
      </Typography>
      {data.waiting.length === 0 && <Empty>Nothing. Everything that came in has its reply.</Empty>}
      <Box component="ul" sx={{listStyle: 'none', p: 0, m: 0, mb: 5}}>
        {data.waiting.map(line => (
          <WaitingLine key={line.assignmentId} line={line} />
        ))}
      </Box>
      <Box sx={{display: 'flex', alignItems: 'baseline', justifyContent: 'space-between'}}>
        <Typography variant="h2" gutterBottom>
          Courses
        </Typography>
        {opensCourses && (
          <Link component={RouterLink} variant="body2" to="/courses/new">
            New course
          </Link>
        )}
      </Box>
      {data.courses.length === 0 && <Empty>You are on no course yet. Make one, or ask to be put on one.</Empty>}
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          p: 0,
          m: 0,
          display: 'flex',
          gap: 1.5,
          alignItems: 'flex-end',
          borderBottom: 6,
          borderColor: 'desk.rule',
        }}
      >
        {data.courses
          .filter(({archived}) => !archived)
          .map(course => (
            <Spine key={course.id} course={course} />
          ))}
      </Box>
      {away.length > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{mt: 2}}>
          Put away:{' '}
          {away.map(({id, title, term}, index) => (
            <span key={id}>
              {index > 0 && ', '}
              <Link component={RouterLink} to={`/courses/${id}`}>
                {term === '' ? title : `${title}, ${term}`}
              </Link>
            </span>
          ))}
        </Typography>
      )}
    </Frame>
  )
}

function WaitingLine({line}: {line: Schemas['Waiting']}) {
  const waits = [
    line.toRead > 0 ? `${many(line.toRead, 'hand-in')} to answer` : null,
    line.unmatched > 0 ? `${many(line.unmatched, 'archive')} to match to a student` : null,
    line.withoutDueTime ? 'no due time yet' : null,
  ].filter(word => word !== null)
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: '17rem 1fr auto',
        alignItems: 'baseline',
        gap: 3,
        py: 1.25,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Box>
        <Typography variant="h3" component="span">
          <Link component={RouterLink} to={`/assignments/${line.assignmentId}`}>
            {line.assignment}
          </Link>
        </Typography>
        <Typography variant="body2" color="textSecondary">
          {line.course}
        </Typography>
      </Box>
      <Typography variant="body1" sx={{color: 'desk.waits'}}>
        {waits.join(', ')}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        {line.dueAt === null ? '' : `due ${when(line.dueAt)}`}
      </Typography>
    </Box>
  )
}

/** A course as the spine of a book on the shelf. */
function Spine({course}: {course: Schemas['CourseSpine']}) {
  return (
    <Box component="li">
      <Box
        component={RouterLink}
        to={`/courses/${course.id}`}
        sx={{
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'space-between',
          width: 148,
          height: 210,
          p: 2,
          bgcolor: 'desk.ink',
          color: 'desk.sheet',
          textDecoration: 'none',
          borderRadius: '3px 3px 0 0',
          '&:hover h3': {textDecoration: 'underline'},
        }}
      >
        <Typography variant="body2">{course.term}</Typography>
        <Typography variant="h3">{course.title}</Typography>
        <Typography variant="body2">
          {many(course.students, 'student')}
          <br />
          {many(course.assignments, 'assignment')}
        </Typography>
      </Box>
    </Box>
  )
}
