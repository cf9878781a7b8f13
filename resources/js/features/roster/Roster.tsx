import {Box, Button, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {Link as RouterLink, useParams} from 'react-router'
import {course} from '../../api/courses'
import {Frame} from '../frame/Frame'
import {Empty} from '../../ui/Remark'
import {many} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {NewRoster} from './NewRoster'
import {Students} from './Students'

export const Roster = () => (
  <Screen>
    <RosterScreen />
  </Screen>
)

/** Who is on a course: read from a spreadsheet, and changed one by one. */
function RosterScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(course(id))
  const present = data.students.filter(({aside}) => !aside)
  const aside = data.students.filter(student => student.aside)
  const [isReading, setReading] = useState(present.length === 0)
  return (
    <Frame steps={[{name: data.title, to: `/courses/${id}`}, {name: 'Roster'}]}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 3}}>
        <Typography variant="h1" sx={{flex: 1}}>
          Roster
        </Typography>
        {present.length > 0 && data.role === 'instructor' && (
          <Link component={RouterLink} variant="body2" to={`/courses/${id}/links`}>
            Students’ links
          </Link>
        )}
        {present.length > 0 && (
          <Link variant="body2" href={`/api/courses/${id}/roster.csv`}>
            Take it as CSV
          </Link>
        )}
        {!isReading && (
          <Button variant="outlined" onClick={() => setReading(true)}>
            Paste or drop a roster
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="textSecondary">
        {many(present.length, 'student')}
        {aside.length > 0 && `, ${aside.length} set aside`}
      </Typography>
      {isReading && <NewRoster courseId={id} onDone={() => setReading(false)} />}
      {present.length === 0 && !isReading && <Empty>Nobody yet.</Empty>}
      {!isReading && <Students courseId={id} students={present} />}
      {aside.length > 0 && !isReading && (
        <Box component="section" aria-labelledby="aside" sx={{mt: 4}}>
          <Typography variant="h2" id="aside">
            Set aside
          </Typography>
          <Typography variant="body2" color="textSecondary">
            They left the course. What they handed in, and what was written to them, is kept.
          </Typography>
          <Students courseId={id} students={aside} />
        </Box>
      )}
    </Frame>
  )
}
