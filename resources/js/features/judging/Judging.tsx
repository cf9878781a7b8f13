import {Box, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useEffect, useRef, useState} from 'react'
import {Link as RouterLink, useNavigate, useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {refreshPoints} from '../../api/desk'
import {judging} from '../../api/marking'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {ErrorText} from '../../ui/Remark'
import {Screen} from '../frame/Screen'
import {isNear, judgedOf, nextToJudge} from './upNext'
import {LivePage} from './LivePage'

/** Pages of one site that are shown; the rest is on its desk. */
const MAX_PAGES = 3

export const Judging = () => (
  <Screen>
    <JudgingScreen />
  </Screen>
)

/** What people judge by eye, for a whole class: the pages as seen, a key for each word of the scale, and on. */
function JudgingScreen() {
  const {id = '', requirement = ''} = useParams()
  const {data} = useSuspenseQuery(judging(id, requirement))
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [at, setAt] = useState(() => Math.max(0, nextToJudge(data.handIns, -1)))
  const current = data.handIns[at]
  const judge = useMutation({
    scope: {id: `judging ${id} ${requirement}`},
    mutationFn: ({handIn, choice}: {handIn: string; choice: Schemas['OutcomeChoice']}) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/marks/{requirement}', {
          params: {path: {handIn, requirement}},
          body: {points: choice.points, reason: choice.words},
        }),
      ),
    onMutate: ({handIn, choice}) =>
      queries.setQueryData(judging(id, requirement).queryKey, old =>
        old === undefined ? old : judgedOf(old, handIn, choice),
      ),
    onError: () => queries.invalidateQueries({queryKey: judging(id, requirement).queryKey}),
    onSuccess: (_answer, {handIn}) => refreshPoints(queries, handIn),
  })
  const give = (choice: Schemas['OutcomeChoice'], index = at) => {
    const one = data.handIns[index]
    if (one === undefined) return
    judge.mutate({handIn: one.handInId, choice})
    const next = nextToJudge(judgedOf(data, one.handInId, choice).handIns, index)
    setAt(next === -1 ? index : next)
  }
  useKeys([
    ...data.choices
      .slice(0, 9)
      .map((choice, index) => ({key: String(index + 1), does: choice.words, run: () => give(choice)})),
    {key: '.', does: 'next student', run: () => setAt(Math.min(data.handIns.length - 1, at + 1))},
    {key: ',', does: 'student before', run: () => setAt(Math.max(0, at - 1))},
    ...(current === undefined
      ? []
      : [{key: 'd', does: 'to the desk', run: () => void navigate(`/hand-ins/${current.handInId}`)}]),
  ])
  const judged = data.handIns.filter(one => one.points !== null).length
  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.assignment, to: `/assignments/${id}`},
        {name: 'Class sheet', to: `/assignments/${id}/class-sheet`},
        {name: data.title},
      ]}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap'}}>
        <Typography variant="h1" sx={{flex: 1}}>
          {data.title}
        </Typography>
        <Typography variant="body1" role="status">
          {judged} of {data.handIns.length} judged
        </Typography>
      </Box>
      <Typography variant="body1" color="textSecondary" sx={{mb: 2}}>
        {data.question} The number keys judge, and the next student comes by itself.
      </Typography>
      <ErrorText error={judge.error} />
      {data.handIns.map((one, index) => (
        <Site
          key={one.handInId}
          one={one}
          choices={data.choices}
          isCurrent={index === at}
          isShown={isNear(index, at)}
          onChoose={choice => give(choice, index)}
          onTurn={() => setAt(index)}
        />
      ))}
    </Frame>
  )
}

function Site({
  one,
  choices,
  isCurrent,
  isShown,
  onChoose,
  onTurn,
}: {
  one: Schemas['JudgingLine']
  choices: Schemas['OutcomeChoice'][]
  isCurrent: boolean
  /** whether its pages are loaded: a few sites at a time are */
  isShown: boolean
  onChoose: (choice: Schemas['OutcomeChoice']) => void
  onTurn: () => void
}) {
  const place = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (isCurrent) place.current?.scrollIntoView({block: 'nearest'})
  }, [isCurrent])
  const pages = one.pages.slice(0, MAX_PAGES)
  const more = one.pages.length - pages.length
  return (
    <Box
      ref={place}
      component="section"
      aria-label={one.student}
      aria-current={isCurrent ? 'true' : undefined}
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        borderLeft: '3px solid',
        borderLeftColor: isCurrent ? 'desk.ink' : 'transparent',
        pl: 2,
        py: 1.5,
        scrollMarginTop: '1rem',
      }}
    >
      <Box sx={{display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap', mb: isShown ? 1 : 0}}>
        <Typography variant="h3" component="h2" sx={{flex: '0 0 17rem'}}>
          <Link component="button" color="inherit" onClick={onTurn}>
            {one.student}
          </Link>{' '}
          <Typography variant="body2" component="span" color="textSecondary">
            {one.handle}
            {one.attempt > 1 && `, attempt ${one.attempt}`}
          </Typography>
        </Typography>
        <Box
          role="group"
          aria-label={`${one.student}: judge`}
          sx={{display: 'flex', gap: 1, flexWrap: 'wrap', flex: 1}}
        >
          {choices.map((choice, index) => (
            <Choice
              key={choice.words}
              choice={choice}
              digit={isCurrent && index < 9 ? index + 1 : null}
              isChosen={one.reason === choice.words}
              onChoose={() => onChoose(choice)}
            />
          ))}
        </Box>
        <Link component={RouterLink} variant="body2" to={`/hand-ins/${one.handInId}`}>
          Desk{more > 0 ? `, ${more} more ${more === 1 ? 'page' : 'pages'}` : ''}
        </Link>
      </Box>
      {one.reason !== null && !choices.some(({words}) => words === one.reason) && (
        <Typography variant="body2" sx={{color: 'desk.ink'}}>
          {one.points} points by hand: {one.reason}
        </Typography>
      )}
      {isShown && (
        <Box sx={{display: 'grid', gridTemplateColumns: `repeat(${MAX_PAGES}, minmax(0, 1fr))`, gap: 1.5}}>
          {pages.map(path => (
            <LivePage key={path} at={one.seenAt} path={path} title={`${path} of ${one.student}`} />
          ))}
        </Box>
      )}
    </Box>
  )
}

function Choice({
  choice,
  digit,
  isChosen,
  onChoose,
}: {
  choice: Schemas['OutcomeChoice']
  digit: number | null
  isChosen: boolean
  onChoose: () => void
}) {
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      sx={{
        font: 'inherit',
        fontSize: '0.85rem',
        px: 1.25,
        py: 0.5,
        cursor: 'pointer',
        border: '1px solid',
        borderColor: isChosen ? 'desk.ink' : 'desk.pencil',
        bgcolor: isChosen ? 'desk.ink' : 'desk.sheet',
        color: isChosen ? 'desk.sheet' : 'text.primary',
      }}
    >
      {digit !== null && (
        <Box component="kbd" sx={{fontFamily: 'inherit', fontWeight: 700, mr: 0.75}}>
          {digit}
        </Box>
      )}
      {choice.words}{' '}
      <Box component="span" sx={{opacity: 0.8}}>
        {choice.points}
      </Box>
    </Box>
  )
}
