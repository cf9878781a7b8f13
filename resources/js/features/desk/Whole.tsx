import {Box, Button, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {desk as deskQuery} from '../../api/desk'
import {Coded} from '../../ui/Coded'
import {ErrorText} from '../../ui/Remark'
import {RunState} from '../../ui/RunState'
import {many, when, whenIn} from '../../lib/when'
import {ExtensionNote} from '../../ui/ExtensionNote'
import {useDesk} from './deskState'
import {Kinds, Outcomes, readFor} from './Kinds'
import {ReplyWords} from './ReplyWords'

/** The hand-in as a whole: how much was found, and how much of it is decided. */
export function Whole({desk}: {desk: Schemas['Desk']}) {
  const {seconds} = useDesk()
  const sum = (count: (one: Schemas['LeafTally']) => number) => desk.tallies.reduce((all, one) => all + count(one), 0)
  const decided = sum(({inked, rubbedOut}) => inked + rubbedOut)
  const found = decided + sum(({pencilled}) => pencilled)
  return (
    <>
      <Typography variant="h1" gutterBottom>
        {desk.student}
      </Typography>
      <Typography variant="body2" color="textSecondary" gutterBottom sx={{overflowWrap: 'anywhere'}}>
        Handed in {when(desk.arrivedAt)}
        {desk.late && (
          <Box component="b" sx={{color: 'desk.waits'}}>
            , late
          </Box>
        )}
        , {cameAs(desk)}.{desk.dueAt !== null && ` Due ${whenIn(desk.dueAt, desk.timeZone)}.`}
      </Typography>
      {desk.extension !== null && <ExtensionNote extension={desk.extension} timeZone={desk.timeZone} />}
      {desk.before !== null && (
        <Typography variant="body1" sx={{mb: 1, color: 'desk.waits'}}>
          Checked again: {desk.before.awarded} of {desk.before.possible} before, {desk.score.awarded} of{' '}
          {desk.score.possible} now.
        </Typography>
      )}
      {desk.coveringNote !== '' && (
        <Typography variant="body1" sx={{whiteSpace: 'pre-wrap', mb: 1}}>
          A note came with it: “{desk.coveringNote}”
        </Typography>
      )}
      <Published desk={desk} />
      <Attempt desk={desk} />
      {desk.run.state === 'failed' && <RunAgain desk={desk} />}
      <RunState run={desk.run}>
        <Typography variant="body1">
          {found === 0
            ? 'The check found nothing on any page. A word of praise may be due: press m.'
            : `${many(found, 'finding')} on ${desk.tallies.length === 1 ? '1 leaf' : `${desk.tallies.length} leaves`}, ${decided} of them decided. Press n to go through them.`}
        </Typography>
      </RunState>
      {seconds > 0 && (
        <Typography variant="body2" color="textSecondary">
          You have spent {readFor(seconds)} on this hand-in. Only you can see this.
        </Typography>
      )}
      <ReplyWords />
      <Outcomes />
      <Kinds />
    </>
  )
}

/** A check that broke off can be run once more; what is in ink stays as it is. */
function RunAgain({desk}: {desk: Schemas['Desk']}) {
  const queries = useQueryClient()
  const run = useMutation({
    mutationFn: () => unwrap(api.POST('/api/hand-ins/{handIn}/check', {params: {path: {handIn: desk.id}}})),
    onSuccess: () => queries.invalidateQueries({queryKey: deskQuery(desk.id).queryKey}),
  })
  return (
    <Box sx={{mb: 1}}>
      <Button variant="outlined" loading={run.isPending} onClick={() => run.mutate()}>
        Run the check again
      </Button>
      <ErrorText error={run.error} />
    </Box>
  )
}

/** As an archive with a name, as a folder that was packed on its way, or fetched from where it is published. */
const cameAs = ({archiveName, served}: Schemas['Desk']) =>
  archiveName !== '' ? `as ${archiveName}` : served === null ? 'as a folder or loose files' : 'as the address of a site'

/**
 * Where the site is published; and of one that was fetched from there, what the server said that was out of the
 * ordinary.
 */
function Published({desk: {address, served, cut, compared}}: {desk: Schemas['Desk']}) {
  const [hasAll, setAll] = useState(false)
  const odd = (served ?? []).filter(({status, to}) => status !== 200 || to !== null)
  const shown = hasAll ? (served ?? []) : odd
  if (address === null) return null
  return (
    <Box sx={{mb: 1}}>
      <Typography variant="body1" sx={{overflowWrap: 'anywhere'}}>
        {served === null ? 'Published, it says, at ' : `${many(served.length, 'file')} asked for at `}
        <code>{address}</code>.{cut && ' There was more than is fetched.'}
        {served !== null && odd.length === 0 && ' The server had all of them.'}
        {served !== null && (
          <>
            {' '}
            <Link
              component="button"
              variant="body2"
              underline="always"
              aria-expanded={hasAll}
              onClick={() => setAll(!hasAll)}
            >
              {hasAll ? 'Only what is out of the ordinary' : 'What the server said of each'}
            </Link>
          </>
        )}
      </Typography>
      {compared !== null && <Compared {...compared} />}
      {shown.map(({path, status, type, to, why}) => (
        <Typography key={path} variant="body2" color="textSecondary" sx={{overflowWrap: 'anywhere'}}>
          <code>{path}</code>: {status === 0 ? 'no answer' : status}
          {type !== '' && `, ${type}`}
          {to !== null && `, led on to ${to}`}
          {why !== null && ` (${why})`}
        </Typography>
      ))}
    </Box>
  )
}

/** Files that were handed in, held against what is published. */
function Compared({trouble, missing, more, different}: Schemas['ComparedSite']) {
  const lists: [string, string[]][] = [
    ['Handed in, and not there', missing],
    ['There, and not handed in', more],
    ['Otherwise there than handed in', different],
  ]
  const told = lists.filter(([, paths]) => paths.length > 0)
  return (
    <Typography variant="body2" color="textSecondary" component="div" sx={{overflowWrap: 'anywhere'}}>
      {trouble !== null && <Coded>{trouble}</Coded>}
      {trouble === null && told.length === 0 && 'What is there is what was handed in, byte for byte.'}
      {told.map(([words, paths]) => (
        <div key={words}>
          {words}: {paths.join(', ')}.
        </div>
      ))}
    </Typography>
  )
}

/** Which of several attempts is marked: the last in time, until another is chosen. */
function Attempt({desk}: {desk: Schemas['Desk']}) {
  const queries = useQueryClient()
  const params = {path: {handIn: desk.id}}
  const choose = useMutation({
    mutationFn: () =>
      desk.chosen
        ? unwrap(api.DELETE('/api/hand-ins/{handIn}/chosen', {params}))
        : unwrap(api.PUT('/api/hand-ins/{handIn}/chosen', {params})),
    onSuccess: () => queries.invalidateQueries(),
  })
  if (desk.attempts.length < 2) return null
  const state = desk.counts
    ? desk.chosen
      ? 'It counts, because you chose it.'
      : 'It counts: it is the last that came in time, or the last of all.'
    : 'Another attempt counts.'
  return (
    <Typography variant="body1" sx={{mb: 1}}>
      Attempt {desk.attempt} of {desk.attempts.length}. {state}{' '}
      {(desk.chosen || !desk.counts) && (
        <Link component="button" underline="always" onClick={() => choose.mutate()}>
          {desk.chosen ? 'Let the last in time count' : 'Let this one count'}
        </Link>
      )}
      <ErrorText error={choose.error} />
    </Typography>
  )
}
