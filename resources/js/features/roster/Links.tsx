import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course, courseLink, studentLinks} from '../../api/courses'
import {Frame} from '../frame/Frame'
import {Empty, ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'
import {mono} from '../../ui/theme'
import {Screen} from '../frame/Screen'

export const Links = () => (
  <Screen>
    <LinksScreen />
  </Screen>
)

/** The private links of all students: to be sent, printed and cut up, or taken back one by one. */
function LinksScreen() {
  const {id = ''} = useParams()
  const {data: of} = useSuspenseQuery(course(id))
  const {data} = useSuspenseQuery(studentLinks(id))
  const send = useMutation({
    mutationFn: () => unwrap(api.POST('/api/courses/{course}/student-links/letters', {params: {path: {course: id}}})),
  })
  return (
    <Frame
      steps={[
        {name: of.title, to: `/courses/${id}`},
        {name: 'Roster', to: `/courses/${id}/roster`},
        {name: 'Students’ links'},
      ]}
    >
      <Box className="not-printed" sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
        <Typography variant="h1" sx={{flex: 1}}>
          Students’ links
        </Typography>
        <Button onClick={() => print()}>Print</Button>
        <Button variant="outlined" loading={send.isPending} onClick={() => send.mutate()}>
          Send each their link
        </Button>
      </Box>
      <Typography className="not-printed" variant="body2" color="textSecondary" sx={{maxWidth: 680, mb: 2}}>
        By their link students come to a page of their own, without logging in: the work that is set, a way to try and
        to hand in, and their replies. Whoever has a link can hand in for that student. A new link ends the old one.
      </Typography>
      <ErrorText error={send.error} />
      {send.data !== undefined && (
        <Typography variant="body2" role="status" sx={{mb: 1}}>
          {many(send.data.sent, 'letter')} on the way.
          {send.data.without.length > 0 && ` No e-mail address is known of ${send.data.without.join(', ')}.`}
        </Typography>
      )}
      {data.length === 0 && <Empty>No students yet. Paste them from a spreadsheet.</Empty>}
      <Box component="ul" aria-label="Students’ links" sx={{listStyle: 'none', m: 0, p: 0}}>
        {data.map(student => (
          <Line key={student.id} courseId={id} student={student} />
        ))}
      </Box>
      <OneForAll courseId={id} />
    </Frame>
  )
}

/** One link for all, which asks for a handle: only where it is wanted. */
function OneForAll({courseId}: {courseId: string}) {
  const {data} = useSuspenseQuery(courseLink(courseId))
  const queries = useQueryClient()
  const params = {path: {course: courseId}}
  const [word, setWord] = useState('')
  const turn = useMutation({
    mutationFn: (on: boolean) =>
      on
        ? unwrap<unknown>(api.PUT('/api/courses/{course}/link', {params, body: {word: word === '' ? null : word}}))
        : unwrap<unknown>(api.DELETE('/api/courses/{course}/link', {params})),
    onSettled: () => queries.invalidateQueries({queryKey: courseLink(courseId).queryKey}),
  })
  return (
    <Box className="not-printed" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 3}}>
      <Typography variant="h2" gutterBottom>
        One link for all
      </Typography>
      <Typography variant="body2" color="textSecondary" sx={{maxWidth: 680, mb: 1}}>
        Students open it and type their handle. Whoever has the link and knows a handle can open that student’s page,
        read the replies and hand in. Handles are often easy to guess, so ask for a word too, and tell it in class.
      </Typography>
      {data.link !== null && (
        <Typography variant="body2" sx={{fontFamily: mono, overflowWrap: 'anywhere', mb: 1}}>
          {data.link}
        </Typography>
      )}
      {data.link !== null && (
        <Typography variant="body2" sx={{mb: 1}}>
          {data.word === null ? 'It asks for a handle alone.' : `It asks for a handle and the word “${data.word}”.`}
        </Typography>
      )}
      {data.link === null && (
        <TextField
          label="Word to ask for (recommended)"
          value={word}
          onChange={event => setWord(event.target.value)}
          fullWidth
          sx={{display: 'block', maxWidth: 340, mb: 1.5}}
        />
      )}
      <Button variant="outlined" loading={turn.isPending} onClick={() => turn.mutate(data.link === null)}>
        {data.link === null ? 'Turn on' : 'Turn off'}
      </Button>
      <ErrorText error={turn.error} />
    </Box>
  )
}

function Line({courseId, student}: {courseId: string; student: Schemas['StudentLink']}) {
  const queries = useQueryClient()
  const revoke = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/students/{student}/link', {params: {path: {student: student.id}}})),
    onSettled: () => queries.invalidateQueries({queryKey: studentLinks(courseId).queryKey}),
  })
  return (
    <Box component="li" sx={{borderTop: 1, borderColor: 'divider', py: 1, breakInside: 'avoid'}}>
      <Box sx={{display: 'flex', gap: 2, alignItems: 'baseline'}}>
        <Typography variant="h3" component="span" sx={{flex: 1}}>
          {student.name}
          <Typography variant="body2" component="span" color="textSecondary">
            {' '}
            {student.handle}
          </Typography>
        </Typography>
        <Link
          component="button"
          variant="body2"
          className="not-printed"
          aria-label={`Make a new link for ${student.name}`}
          onClick={() => revoke.mutate()}
        >
          New link
        </Link>
      </Box>
      <Typography variant="body2" sx={{fontFamily: mono, overflowWrap: 'anywhere'}}>
        {student.link}
      </Typography>
      <ErrorText error={revoke.error} />
    </Box>
  )
}
