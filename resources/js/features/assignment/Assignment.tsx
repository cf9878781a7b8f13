import {Box, Button, LinearProgress, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Link as RouterLink, useNavigate, useParams} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {assignment} from '../../api/assignments'
import {extensionInWords} from '../../ui/ExtensionNote'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {Empty} from '../../ui/Remark'
import {RunState} from '../../ui/RunState'
import {Tally} from '../../ui/Tally'
import {notJudged} from '../../lib/cost'
import {many, when, whenIn} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {BriefSheet} from './BriefSheet'
import {Extensions} from './Extensions'

export const Assignment = () => (
  <Screen>
    <AssignmentScreen />
  </Screen>
)

function AssignmentScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(assignment(id))
  const navigate = useNavigate()
  const next = data.handIns.find(line => line.repliedAt === null)
  useKeys([
    {key: 'c', does: 'class sheet', run: () => void navigate(`/assignments/${id}/class-sheet`)},
    {key: 't', does: 'in-tray', run: () => void navigate(`/assignments/${id}/in-tray`)},
    ...(next === undefined
      ? []
      : [{key: '.', does: `read ${next.student}`, run: () => void navigate(`/hand-ins/${next.id}`)}]),
  ])
  return (
    <Frame steps={[{name: data.course, to: `/courses/${data.courseId}`}, {name: data.title}]}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 3}}>
        <Typography variant="h1" sx={{flex: 1}}>
          {data.title}
        </Typography>
        {data.role === 'instructor' && (
          <Link component={RouterLink} variant="body2" to={`/assignments/${id}/settings`}>
            Assignment settings
          </Link>
        )}
        {data.handIns.length > 0 && (
          <Button component={RouterLink} to={`/assignments/${id}/class-sheet`} variant="outlined">
            Class sheet
          </Button>
        )}
        <Button component={RouterLink} to={`/assignments/${id}/in-tray`} variant="outlined">
          Open the in-tray
        </Button>
      </Box>
      <Typography variant="body1" color="textSecondary">
        {data.summary} {data.dueAt !== null && `Due ${whenIn(data.dueAt, data.timeZone)}.`}
        {data.closed && ' It is closed: nothing is taken in any more.'}
        {data.mostAttempts !== null && ` ${many(data.mostAttempts, 'attempt')} at most.`}
      </Typography>
      <Box component="section" aria-labelledby="hand-ins" sx={{mt: 4}}>
        <Typography variant="h2" id="hand-ins" gutterBottom>
          Hand-ins
        </Typography>
        {data.checking !== null && <Checking {...data.checking} />}
        {data.handIns.length === 0 ? (
          <Empty>No hand-ins yet. Drop the students’ zips into the in-tray.</Empty>
        ) : (
          <HandIns data={data} />
        )}
        {data.missing.length > 0 && (
          <Typography variant="body2" color="textSecondary" sx={{mt: 2}}>
            Nothing yet from {data.missing.map(student => student.name).join(', ')}.
          </Typography>
        )}
      </Box>
      <Extensions data={data} />
      <BriefSheet assignmentId={id} brief={data.brief} mayChange={data.role === 'instructor'} />
    </Frame>
  )
}

/** How far the check of the whole class is. */
function Checking({done, steps}: Schemas['Checking']) {
  return (
    <Box sx={{display: 'flex', alignItems: 'center', gap: 2, mb: 1}}>
      <Typography variant="body2" color="textSecondary" role="status">
        {steps === 0 ? 'The class is about to be checked.' : `Checking the class: ${done} of ${steps}.`}
      </Typography>
      <LinearProgress
        aria-label="Checking the class"
        variant="determinate"
        value={steps === 0 ? 0 : (100 * done) / steps}
        sx={{flex: 1, maxWidth: 320}}
      />
    </Box>
  )
}

const cell = {py: 1, pr: 2, borderTop: 1, borderColor: 'divider', textAlign: 'left', verticalAlign: 'baseline'}

function HandIns({data}: {data: Schemas['AssignmentView']}) {
  const extended = new Map(data.extensions.map(one => [one.studentId, one]))
  return (
    <Box component="table" sx={{width: '100%', borderCollapse: 'collapse'}}>
      <thead>
        <tr>
          {['Student', 'Came in', 'Found', 'Points', 'Reply'].map(name => (
            <Box component="th" key={name} scope="col" sx={{...cell, border: 0, pt: 0}}>
              <Typography variant="body2" component="span" color="textSecondary">
                {name}
              </Typography>
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {data.handIns.map(line => (
          <HandIn
            key={line.id}
            line={line}
            most={data.mostAttempts}
            extension={extended.get(line.studentId)}
            timeZone={data.timeZone}
          />
        ))}
      </tbody>
    </Box>
  )
}

function HandIn({
  line,
  most,
  extension,
  timeZone,
}: {
  line: Schemas['HandInLine']
  /** attempts that are allowed; null for any number */
  most: number | null
  extension: Schemas['ExtensionView'] | undefined
  timeZone: string
}) {
  return (
    <tr>
      <Box component="td" sx={cell}>
        <Typography variant="h3" component="span">
          <Link component={RouterLink} to={`/hand-ins/${line.id}`}>
            {line.student}
          </Link>
        </Typography>
        {line.attempt > 1 && (
          <Typography variant="body2" component="span" color="textSecondary">
            {' '}
            attempt {line.attempt}
            {most !== null && line.attempt > most && `, ${line.attempt - most} more than allowed`}
          </Typography>
        )}
      </Box>
      <Box component="td" sx={cell}>
        <Typography variant="body2" color="textSecondary">
          {when(line.arrivedAt)}
          {line.late && (
            <Box component="span" sx={{color: 'desk.waits', fontWeight: 600}}>
              {' '}
              late
            </Box>
          )}
          {extension !== undefined && (
            <Box component="span" title={extension.reason} sx={{display: 'block'}}>
              Extension: {extensionInWords(extension, timeZone)}
            </Box>
          )}
        </Typography>
      </Box>
      <Box component="td" sx={cell}>
        <RunState run={line.run}>
          <Tally pencilled={line.pencilled} inked={line.inked} rubbedOut={line.rubbedOut} />
          {line.notes > 0 && (
            <Typography variant="body2" component="span" sx={{color: 'desk.ink'}}>
              , {many(line.notes, 'note')}
            </Typography>
          )}
        </RunState>
      </Box>
      <Box component="td" sx={cell}>
        <Typography variant="body2">
          {line.awarded === null ? '' : `${line.awarded} of ${line.possible ?? 0}`}
          {line.open > 0 && (
            <Box component="span" sx={{display: 'block', color: 'desk.waits'}}>
              {notJudged(line.open)}
            </Box>
          )}
        </Typography>
      </Box>
      <Box component="td" sx={{...cell, pr: 0}}>
        <Typography variant="body2">
          {line.repliedAt === null ? (
            <Box component="span" sx={{color: 'desk.waits'}}>
              waits
            </Box>
          ) : (
            <Link component={RouterLink} to={`/hand-ins/${line.id}/reply`}>
              released
            </Link>
          )}
        </Typography>
      </Box>
    </tr>
  )
}
