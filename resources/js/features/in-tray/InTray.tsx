import {Box, Button, Link, MenuItem, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useEffect, useRef, useState} from 'react'
import {Link as RouterLink, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {assignment} from '../../api/assignments'
import {course} from '../../api/courses'
import {arrivals} from '../../api/intake'
import {extensionInWords} from '../../ui/ExtensionNote'
import {Frame} from '../frame/Frame'
import {Empty, ErrorText} from '../../ui/Remark'
import {RunState} from '../../ui/RunState'
import {many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {Addresses} from './Addresses'
import {Drop} from './Drop'
import {LastDrop} from './LastDrop'

export const InTray = () => (
  <Screen>
    <InTrayScreen />
  </Screen>
)

function InTrayScreen() {
  const {id = ''} = useParams()
  const {data: work} = useSuspenseQuery(assignment(id))
  const {data} = useSuspenseQuery(arrivals(id))
  const unmatched = data.filter(arrival => arrival.state === 'unmatched')
  const others = data.filter(arrival => arrival.state !== 'unmatched')
  // Whoever has settled one goes on with the next, without reaching for it.
  const [settled, setSettled] = useState(false)
  return (
    <Frame
      steps={[
        {name: work.course, to: `/courses/${work.courseId}`},
        {name: work.title, to: `/assignments/${id}`},
        {name: 'In-tray'},
      ]}
    >
      <Typography variant="h1" gutterBottom>
        In-tray
      </Typography>
      <Drop assignmentId={id} />
      <Addresses assignmentId={id} />
      {unmatched.length > 0 && (
        <Box component="section" aria-labelledby="whose" sx={{mb: 4}}>
          <Typography variant="h2" id="whose" gutterBottom sx={{color: 'desk.waits'}}>
            Whose are these?
          </Typography>
          {unmatched.map((arrival, at) => (
            <Unmatched
              key={arrival.id}
              arrival={arrival}
              isNext={at === 0 && settled}
              assignmentId={id}
              courseId={work.courseId}
              onSettled={() => setSettled(true)}
            />
          ))}
        </Box>
      )}
      <Typography variant="h2" gutterBottom>
        What came in
      </Typography>
      <LastDrop assignmentId={id} arrivals={data} />
      {data.length === 0 && (
        <Empty>Nothing yet. Drop the students’ zips above, one or many at a time, or one zip of the class.</Empty>
      )}
      <Box component="ul" sx={{listStyle: 'none', p: 0, m: 0}}>
        {others.map(arrival => (
          <ArrivalLine key={arrival.id} arrival={arrival} />
        ))}
      </Box>
    </Frame>
  )
}

const row = {
  display: 'grid',
  gridTemplateColumns: '16rem 1fr 10rem',
  gap: 3,
  alignItems: 'baseline',
  py: 1,
  borderTop: 1,
  borderColor: 'divider',
}

function ArrivalLine({arrival}: {arrival: Schemas['ArrivalView']}) {
  return (
    <Box component="li" sx={row}>
      <Name arrival={arrival} />
      <div>
        {arrival.state === 'opened' && (
          <Typography variant="body2" color="textSecondary">
            The archive of a class; what was in it stands here by itself.
          </Typography>
        )}
        {arrival.state === 'waiting' && (
          <Typography variant="body2" color="textSecondary">
            {arrival.address === null
              ? 'is being unpacked…'
              : `is being fetched for ${arrival.student?.name ?? 'a student'}. ${arrival.told === null ? '' : `${arrival.told} It looks again by itself.`}`}
          </Typography>
        )}
        {arrival.state === 'refused' && (
          <Typography variant="body2" sx={{color: 'desk.fault'}}>
            Refused. {arrival.reason} Nothing of it was kept as a hand-in.
          </Typography>
        )}
        {arrival.state === 'repeated' && (
          <Typography variant="body2" color="textSecondary">
            The same file as {arrival.student?.name}’s attempt {arrival.attempt}; nothing was added.
          </Typography>
        )}
        {arrival.state === 'taken' && arrival.run !== null && (
          <Box sx={{display: 'flex', gap: 1.5, alignItems: 'baseline'}}>
            <Typography variant="h3" component="span">
              <Link component={RouterLink} to={`/hand-ins/${arrival.handInId ?? ''}`}>
                {arrival.student?.name}
              </Link>
            </Typography>
            {arrival.late && (
              <Typography variant="body2" component="span" sx={{color: 'desk.waits', fontWeight: 600}}>
                {' '}
                late
              </Typography>
            )}
            {arrival.extension !== null && (
              <Typography
                variant="body2"
                component="span"
                color="textSecondary"
                title={`Only markers see why: ${arrival.extension.reason}`}
              >
                {' '}
                extension: {extensionInWords(arrival.extension)}
              </Typography>
            )}
            {(arrival.attempt ?? 1) > 1 && (
              <Typography variant="body2" component="span" color="textSecondary">
                attempt {arrival.attempt}
              </Typography>
            )}
            <RunState run={arrival.run}>
              <Typography variant="body2" component="span" color="textSecondary">
                {arrival.findings === 0 ? 'checked, nothing found' : `checked, ${many(arrival.findings, 'finding')}`}
              </Typography>
            </RunState>
          </Box>
        )}
      </div>
      <Typography variant="body2" color="textSecondary" sx={{textAlign: 'right'}}>
        {when(arrival.arrivedAt)}
      </Typography>
    </Box>
  )
}

/** The name it came with, after the folders around it in the archive of the class. */
const Name = ({arrival}: {arrival: Schemas['ArrivalView']}) => (
  <Typography variant="body2" sx={{overflowWrap: 'anywhere'}}>
    {arrival.within !== '' && (
      <Box component="span" sx={{color: 'text.secondary'}}>
        {arrival.within}/
      </Box>
    )}
    {arrival.name}
  </Typography>
)

function Unmatched({
  arrival,
  isNext,
  onSettled,
  assignmentId,
  courseId,
}: {
  arrival: Schemas['ArrivalView']
  /** whether the one before it has just been settled */
  isNext: boolean
  onSettled: () => void
  assignmentId: string
  courseId: string
}) {
  const [student, setStudent] = useState(arrival.likely[0]?.id ?? '')
  const queries = useQueryClient()
  const match = useMutation({
    mutationFn: () =>
      unwrap(api.PATCH('/api/arrivals/{arrival}', {params: {path: {arrival: arrival.id}}, body: {student}})),
    onSuccess: onSettled,
    onSettled: () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey}),
  })
  const choice = useRef<HTMLInputElement>(null)
  useEffect(() => {
    if (isNext) choice.current?.focus()
  }, [isNext])
  const {data: all} = useSuspenseQuery(course(courseId))
  const likely = new Set(arrival.likely.map(one => one.id))
  const others = all.students.filter(one => !one.aside && !likely.has(one.id))
  return (
    <Box sx={row}>
      <Name arrival={arrival} />
      <Box
        component="form"
        sx={{display: 'flex', gap: 1.5, alignItems: 'center'}}
        onSubmit={event => {
          event.preventDefault()
          match.mutate()
        }}
      >
        <TextField
          select
          label="Student"
          value={student}
          onChange={event => setStudent(event.target.value)}
          inputRef={choice}
          sx={{minWidth: 240}}
        >
          {arrival.likely.map(one => (
            <MenuItem key={one.id} value={one.id}>
              {one.name} (likely)
            </MenuItem>
          ))}
          {others.map(one => (
            <MenuItem key={one.id} value={one.id}>
              {one.name}
            </MenuItem>
          ))}
        </TextField>
        <Button type="submit" variant="contained" disabled={student === ''} loading={match.isPending}>
          It is theirs
        </Button>
        <ErrorText error={match.error} />
      </Box>
      <Typography variant="body2" color="textSecondary" sx={{textAlign: 'right'}}>
        {when(arrival.arrivedAt)}
      </Typography>
    </Box>
  )
}
