import {Box, Button, Link, MenuItem, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useRef, useState, type DragEvent} from 'react'
import {Link as RouterLink, useParams} from 'react-router'
import {api, unwrap, type Schemas} from '../../api/client'
import {arrivals, assignment, course} from '../../api/queries'
import {Frame} from '../../parts/Frame'
import {useKeys} from '../../parts/keys'
import {Empty, ErrorText} from '../../parts/Remark'
import {RunState} from '../../parts/RunState'
import {many, when} from '../../parts/when'
import {Screen} from '../Screen'

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
      {unmatched.length > 0 && (
        <Box component="section" aria-labelledby="whose" sx={{mb: 4}}>
          <Typography variant="h2" id="whose" gutterBottom sx={{color: 'desk.waits'}}>
            Whose are these?
          </Typography>
          {unmatched.map(arrival => (
            <Unmatched key={arrival.id} arrival={arrival} assignmentId={id} courseId={work.courseId} />
          ))}
        </Box>
      )}
      <Typography variant="h2" gutterBottom>
        What came in
      </Typography>
      {data.length === 0 && <Empty>Nothing yet. Drop the students’ zips above, one or many at a time.</Empty>}
      <Box component="ul" sx={{listStyle: 'none', p: 0, m: 0}}>
        {others.map(arrival => (
          <ArrivalLine key={arrival.id} arrival={arrival} />
        ))}
      </Box>
    </Frame>
  )
}

/** Files sent in one request: PHP takes no more than 20 unless it is told to, and drops the rest without a word. */
const AT_ONCE = 20

const send = (assignment: string, files: File[]) =>
  unwrap(
    api.POST('/api/assignments/{assignment}/arrivals', {
      params: {path: {assignment}},
      body: {},
      bodySerializer: () => {
        const form = new FormData()
        for (const file of files) form.append('files[]', file)
        return form
      },
    }),
  )

function Drop({assignmentId}: {assignmentId: string}) {
  const [over, setOver] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const queries = useQueryClient()
  const [sent, setSent] = useState(0)
  const [all, setAll] = useState(0)
  const drop = useMutation({
    mutationFn: async (files: File[]) => {
      setAll(files.length)
      setSent(0)
      for (let from = 0; from < files.length; from += AT_ONCE) {
        const batch = files.slice(from, from + AT_ONCE)
        const {taken} = await send(assignmentId, batch)
        if (taken !== batch.length) {
          throw new Error(`The server took ${from + taken} of ${files.length} files. Drop the others again.`)
        }
        setSent(from + taken)
        await queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey})
      }
    },
    onSettled: () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey}),
  })
  useKeys([{key: 'o', does: 'choose zips', run: () => input.current?.click()}])
  const take = (files: FileList | null) => {
    if (files !== null && files.length > 0) drop.mutate([...files])
  }
  const dropped = (event: DragEvent) => {
    event.preventDefault()
    setOver(false)
    take(event.dataTransfer.files)
  }
  return (
    <Box
      onDragOver={event => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={dropped}
      sx={{
        border: 2,
        borderStyle: over ? 'solid' : 'dashed',
        borderColor: over ? 'desk.ink' : 'desk.rule',
        bgcolor: 'desk.sheet',
        p: 4,
        mb: 4,
        textAlign: 'center',
      }}
    >
      <Typography variant="body1">
        {drop.isPending ? `Taking them in: ${sent} of ${all}…` : 'Drop zips here, one for each student.'}
      </Typography>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        {drop.isSuccess
          ? `${many(all, 'file')} taken. Each is unpacked, matched to a student by its name, and checked while you watch.`
          : 'Each is unpacked, matched to a student by its name, and checked while you watch.'}
      </Typography>
      <Button variant="outlined" loading={drop.isPending} onClick={() => input.current?.click()}>
        Choose files
      </Button>
      <input
        ref={input}
        type="file"
        multiple
        hidden
        data-testid="zips"
        onChange={event => {
          take(event.target.files)
          event.target.value = ''
        }}
      />
      <ErrorText error={drop.error} />
    </Box>
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
      <Typography variant="body2" sx={{overflowWrap: 'anywhere'}}>
        {arrival.name}
      </Typography>
      <div>
        {arrival.state === 'waiting' && (
          <Typography variant="body2" color="textSecondary">
            is being unpacked…
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

function Unmatched({
  arrival,
  assignmentId,
  courseId,
}: {
  arrival: Schemas['ArrivalView']
  assignmentId: string
  courseId: string
}) {
  const [student, setStudent] = useState(arrival.likely[0]?.id ?? '')
  const queries = useQueryClient()
  const match = useMutation({
    mutationFn: () =>
      unwrap(api.PATCH('/api/arrivals/{arrival}', {params: {path: {arrival: arrival.id}}, body: {student}})),
    onSettled: () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey}),
  })
  const {data: all} = useSuspenseQuery(course(courseId))
  const likely = new Set(arrival.likely.map(one => one.id))
  const others = all.students.filter(one => !one.aside && !likely.has(one.id))
  return (
    <Box sx={row}>
      <Typography variant="body2" sx={{overflowWrap: 'anywhere'}}>
        {arrival.name}
      </Typography>
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
