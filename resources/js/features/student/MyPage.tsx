import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Link as RouterLink, useParams} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {myPage} from '../../api/student'
import {Empty} from '../../ui/Remark'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {MyFrame} from './MyFrame'

export const MyPage = () => (
  <Screen open>
    <Page />
  </Screen>
)

/** The work that is set for a student. */
function Page() {
  const {token = ''} = useParams()
  const {data} = useSuspenseQuery(myPage(token))
  return (
    <MyFrame title={data.course} home={`/my/${token}`}>
      <Typography variant="h1">{data.course}</Typography>
      <Typography variant="body2" color="textSecondary" sx={{mb: 3}}>
        {data.name}
        {data.school !== '' && `, ${data.school}`}
      </Typography>
      {data.work.length === 0 && <Empty>No work has been set yet.</Empty>}
      {data.work.map(work => (
        <Box key={work.id} sx={{borderTop: 1, borderColor: 'divider', py: 1.5}}>
          <Typography variant="h2">
            <Link component={RouterLink} to={`/my/${token}/work/${work.id}`}>
              {work.title}
            </Link>
          </Typography>
          <Typography variant="body2" color="textSecondary">
            {stateOf(work)}
          </Typography>
        </Box>
      ))}
      <Typography variant="body2" color="textSecondary" sx={{mt: 4}}>
        This page is yours alone. Whoever has its address can hand in for you, so do not pass it on.
      </Typography>
    </MyFrame>
  )
}

function stateOf({dueAt, closed, attempts, replied}: Schemas['MyWork']): string {
  const due = closed ? 'Closed' : dueAt === null ? 'No due time' : `Due ${when(dueAt)}`
  const done = attempts === 0 ? 'not handed in yet' : `handed in ${many(attempts, 'time')}`
  return [due, done, ...(replied ? ['your reply is here'] : [])].join(', ')
}
