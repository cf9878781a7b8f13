import {Box, Link, Typography} from '@mui/material'
import {useQuery, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {Link as RouterLink, useParams} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {myCheck, myWork} from '../../api/student'
import {Coded} from '../../ui/Coded'
import {ErrorText} from '../../ui/Remark'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {CheckPaper} from './CheckPaper'
import {HandIn} from './HandIn'
import {MyFrame} from './MyFrame'
import {TimeLeft} from './TimeLeft'

type Work = Schemas['MyAssignment']

export const MyWork = () => {
  const {id = ''} = useParams()
  return (
    <Screen open key={id}>
      <Page />
    </Screen>
  )
}

/** One piece of work: what is asked, the time left, the way to hand in, and what came of it so far. */
function Page() {
  const {token = '', id = ''} = useParams()
  const {data} = useSuspenseQuery(myWork(token, id))
  const queries = useQueryClient()
  const refresh = () => queries.invalidateQueries({queryKey: myWork(token, id).queryKey})
  return (
    <MyFrame title={data.title} home={`/my/${token}`}>
      <Typography variant="h1">{data.title}</Typography>
      <Typography variant="body2" color="textSecondary">
        {data.course}, {data.name}
      </Typography>
      <TimeLeft key={data.now} work={data} onOver={() => void refresh()} />
      {data.summary !== '' && (
        <Typography variant="body1" sx={{whiteSpace: 'pre-wrap', my: 2}}>
          {data.summary}
        </Typography>
      )}
      {data.hasStarter && (
        <Typography variant="body1" sx={{my: 2}}>
          Begin from the{' '}
          <Link underline="always" href={`/api/my/${token}/assignments/${id}/starter.zip`}>
            starter files
          </Link>{' '}
          (a zip).
        </Typography>
      )}
      <Brief work={data} />
      <HandIn key={String(data.attempts.length)} token={token} work={data} onDone={refresh} />
      <Attempts token={token} work={data} />
    </MyFrame>
  )
}

function Brief({work}: {work: Work}) {
  if (work.brief.length === 0) return null
  return (
    <Box component="section" aria-labelledby="asked" sx={{my: 3}}>
      <Typography variant="h2" id="asked" gutterBottom>
        What is asked
      </Typography>
      <Box component="ol" sx={{m: 0, pl: 3}}>
        {work.brief.map(line => (
          <Box component="li" key={line.id} sx={{py: 0.5}}>
            <Typography variant="body1" component="span">
              <Coded>{line.sentence}</Coded>{' '}
            </Typography>
            <Typography variant="body2" component="span" color="textSecondary" noWrap>
              {many(line.points, 'point')}
            </Typography>
          </Box>
        ))}
      </Box>
      {work.marking.length > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{mt: 1}}>
          {work.marking.join(' ')}
        </Typography>
      )}
    </Box>
  )
}

function Attempts({token, work}: {token: string; work: Work}) {
  if (work.attempts.length + work.coming.length === 0) return null
  return (
    <Box component="section" aria-labelledby="attempts" sx={{my: 3}}>
      <Typography variant="h2" id="attempts" gutterBottom>
        What you handed in
      </Typography>
      {work.coming.map(({id, address, at, told, refused}) => (
        <Box key={id} sx={{borderTop: 1, borderColor: 'divider', py: 1.25, overflowWrap: 'anywhere'}}>
          <Typography variant="body1" role="status" sx={{color: refused === null ? undefined : 'desk.fault'}}>
            <code>{address}</code>, {when(at)}:{' '}
            <Coded>
              {refused !== null
                ? `${refused} Nothing was handed in.`
                : told === null
                  ? 'is being fetched…'
                  : `${told} It looks again by itself.`}
            </Coded>
          </Typography>
        </Box>
      ))}
      {work.attempts.map(attempt => (
        <Attempt key={attempt.id} token={token} work={work} attempt={attempt} />
      ))}
    </Box>
  )
}

function Attempt({token, work, attempt}: {token: string; work: Work; attempt: Schemas['MyAttempt']}) {
  const [isOpen, setOpen] = useState(false)
  const {data, error} = useQuery({...myCheck(token, attempt.id), enabled: isOpen && attempt.checked})
  const changes = [
    ...(attempt.mended === null ? [] : [`${attempt.mended} mended`]),
    ...(attempt.still === null ? [] : [`${attempt.still} still there`]),
    ...(attempt.new === null ? [] : [`${attempt.new} new`]),
  ]
  return (
    <Box sx={{borderTop: 1, borderColor: 'divider', py: 1.25}}>
      <Typography variant="h3" component="h3">
        Attempt {attempt.attempt}
        <Typography variant="body2" component="span" color="textSecondary">
          {' '}
          {when(attempt.at)}
          {attempt.late && ', late'}
          {attempt.counts && work.attempts.length > 1 && ', this one counts'}
        </Typography>
      </Typography>
      <Typography variant="body2" color="textSecondary" sx={{overflowWrap: 'anywhere'}}>
        {[attempt.archive === '' ? 'a folder' : attempt.archive, attempt.address, attempt.coveringNote]
          .filter(part => part !== null && part !== '')
          .join(' · ')}
      </Typography>
      {changes.length > 0 && <Typography variant="body1">Since the attempt before: {changes.join(', ')}.</Typography>}
      {!attempt.checked && work.sees !== 'nothing' && (
        <Typography variant="body2" role="status">
          Its check is under way…
        </Typography>
      )}
      <Box sx={{display: 'flex', gap: 3}}>
        {attempt.checked && work.sees !== 'nothing' && (
          <Link component="button" variant="body2" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Fold the check' : 'What the check says'}
          </Link>
        )}
        {attempt.replied && (
          <Link component={RouterLink} variant="body2" to={`/my/${token}/replies/${attempt.id}`}>
            Read your reply
          </Link>
        )}
      </Box>
      {isOpen && data !== undefined && <CheckPaper check={data} />}
      <ErrorText error={error} />
    </Box>
  )
}
