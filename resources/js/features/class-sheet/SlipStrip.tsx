import {Box, Button, Checkbox, FormControlLabel, Link, Switch, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useEffect, useRef, useState} from 'react'
import {Link as RouterLink, useParams, useSearchParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {assignment} from '../../api/assignments'
import {slipStrip} from '../../api/marking'
import {Coded} from '../../ui/Coded'
import {LastDone, useWayBack, type Done} from '../frame/LastDone'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {ProofMark} from '../../ui/ProofMark'
import {Quoted} from '../../ui/Quoted'
import {Empty, ErrorText} from '../../ui/Remark'
import {titleOf} from '../../lib/rules'
import {many} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {deskAt} from './address'
import {useDecision} from './decisions'
import {NoteToAll} from './NoteToAll'
import {inStrip, keyOf, type Spot} from './slipChoice'

export const Strip = () => (
  <Screen>
    <StripScreen />
  </Screen>
)

type Does = Schemas['SlipRequest']['does']

const DONE: Record<Does, string> = {
  inked: 'Inked',
  'rubbed-out': 'Rubbed out',
  note: 'A note written at',
  question: 'A question written at',
}

/** One kind of slip through all sites of a class, as a strip of its places. */
function StripScreen() {
  const {id = ''} = useParams()
  const [query] = useSearchParams()
  const [rule, variant] = [query.get('rule') ?? '', query.get('variant') ?? '']
  const {data: work} = useSuspenseQuery(assignment(id))
  const {data} = useSuspenseQuery(slipStrip(id, rule, variant))
  const queries = useQueryClient()
  const [at, setAt] = useState(0)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set())
  const [areNamed, setNamed] = useState(true)
  const [last, setLast] = useState<Done | null>(null)
  const here = data.spots[at]
  const refresh = () => queries.invalidateQueries()
  const places = data.spots.filter(spot => chosen.has(keyOf(spot)))
  const reached = places.length === 0 ? null : places.map(({handInId: handIn, fingerprint}) => ({handIn, fingerprint}))
  const decide = useDecision(
    id,
    {rule, variant},
    (told, does) => `${DONE[does]} ${many(told.findings, 'place')} in ${many(told.handIns, 'hand-in')}.`,
    async done => {
      setLast(done)
      setChosen(new Set())
      await refresh()
    },
  )
  const one = useMutation({
    mutationFn: ({spot, state}: {spot: Spot; state: Spot['state']}) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/verdicts/{fingerprint}', {
          params: {path: {handIn: spot.handInId, fingerprint: spot.fingerprint}},
          body: {state: spot.state === state ? 'pencilled' : state},
        }),
      ),
    onSuccess: refresh,
  })
  const back = useWayBack(async () => {
    setLast(null)
    await refresh()
  })
  const choose = (spot: Spot) =>
    setChosen(old => {
      const next = new Set(old)
      if (!next.delete(keyOf(spot))) next.add(keyOf(spot))
      return next
    })
  const turn = (step: number) => setAt(old => Math.min(data.spots.length - 1, Math.max(0, old + step)))
  const act = (state: Spot['state']) => here !== undefined && one.mutate({spot: here, state})
  useKeys([
    {key: 'n', does: 'next', run: () => turn(1)},
    {key: 'b', does: 'back', run: () => turn(-1)},
    {key: 'i', does: 'ink', run: () => act('inked')},
    {key: 'e', does: 'rub out', run: () => act('rubbed-out')},
    {key: 'x', does: 'choose', run: () => here !== undefined && choose(here)},
    {key: 'a', does: areNamed ? 'names off' : 'names on', run: () => setNamed(!areNamed)},
  ])
  const pencilled = (places.length === 0 ? data.spots : places).filter(spot => spot.state === 'pencilled').length
  const reach = places.length === 0 ? 'all' : `the ${places.length} chosen`
  const first = data.spots[0]
  return (
    <Frame
      steps={[
        {name: work.course, to: `/courses/${work.courseId}`},
        {name: work.title, to: `/assignments/${id}`},
        {name: 'Class sheet', to: `/assignments/${id}/class-sheet`},
        {name: titleOf(rule)},
      ]}
    >
      <Typography variant="h1" sx={{fontSize: '1.5rem'}}>
        {titleOf(rule)}
      </Typography>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, mb: 1}}>
        <Typography variant="body1" color="textSecondary" sx={{flex: 1}}>
          {inStrip(data.spots, data.more)}
        </Typography>
        <FormControlLabel
          control={<Switch size="small" checked={areNamed} onChange={event => setNamed(event.target.checked)} />}
          label={<Typography variant="body2">Names</Typography>}
        />
      </Box>
      {first === undefined ? (
        <Empty>No hand-in of this class has such a slip now.</Empty>
      ) : (
        <Box
          role="group"
          aria-label="What to do with them"
          sx={{
            position: 'sticky',
            top: -32,
            zIndex: 2,
            bgcolor: 'background.default',
            borderBottom: 1,
            borderColor: 'divider',
            py: 1,
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            flexWrap: 'wrap',
          }}
        >
          <Button
            variant="contained"
            disabled={pencilled === 0 || decide.isPending}
            onClick={() => decide.mutate({does: 'inked', chosen: reached})}
          >
            Ink {reach}
          </Button>
          <Button
            disabled={pencilled === 0 || decide.isPending}
            onClick={() => decide.mutate({does: 'rubbed-out', chosen: reached})}
          >
            Rub out {reach}
          </Button>
          <NoteToAll
            reach={reach}
            isPending={decide.isPending}
            onWrite={(does, words) => decide.mutateAsync({does, words, chosen: reached})}
          />
          {last !== null && <LastDone last={last} onBack={batch => back.mutate(batch)} />}
        </Box>
      )}
      <ErrorText error={decide.error ?? one.error ?? back.error} />
      <Box component="ol" sx={{listStyle: 'none', m: 0, p: 0}}>
        {data.spots.map((spot, index) => (
          <Row
            key={keyOf(spot)}
            spot={spot}
            isHere={index === at}
            isChosen={chosen.has(keyOf(spot))}
            isNamed={areNamed}
            isSaid={index === 0 || data.spots[index - 1]?.message !== spot.message}
            onChoose={() => choose(spot)}
            onTurn={() => setAt(index)}
            onDecide={state => {
              setAt(index)
              one.mutate({spot, state})
            }}
          />
        ))}
      </Box>
      {data.more > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{mt: 2}}>
          {many(data.more, 'more place')} not shown. What is done with all is done there, too.
        </Typography>
      )}
    </Frame>
  )
}

interface RowProps {
  spot: Spot
  isHere: boolean
  isChosen: boolean
  isNamed: boolean
  /** whether the words are not those of the place before */
  isSaid: boolean
  onChoose: () => void
  onTurn: () => void
  onDecide: (state: Spot['state']) => void
}

function Row({spot, isHere, isChosen, isNamed, isSaid, onChoose, onTurn, onDecide}: RowProps) {
  const place = useRef<HTMLLIElement>(null)
  useEffect(() => {
    if (isHere) place.current?.scrollIntoView({block: 'nearest'})
  }, [isHere])
  const where = `${spot.leaf}${spot.line === null ? '' : `, line ${spot.line}`}`
  const who = isNamed ? spot.student : 'a student'
  return (
    <Box
      component="li"
      ref={place}
      aria-current={isHere ? 'true' : undefined}
      onClick={onTurn}
      sx={{
        display: 'grid',
        gridTemplateColumns: '2rem 11rem minmax(0, 1fr) 6.5rem',
        columnGap: 1.5,
        alignItems: 'start',
        py: 1.25,
        scrollMarginTop: '4rem',
        borderBottom: 1,
        borderColor: 'desk.rule',
        boxShadow: theme => (isHere ? `-3px 0 0 ${theme.vars?.palette.desk.ink ?? ''}` : 'none'),
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 170px',
      }}
    >
      <Checkbox
        size="small"
        sx={{p: 0.25, ml: 0.5}}
        checked={isChosen}
        onChange={onChoose}
        slotProps={{input: {'aria-label': `Choose ${who}, ${where}`}}}
      />
      <Box sx={{minWidth: 0}}>
        <Link component={RouterLink} to={deskAt(spot)} variant="body2" sx={{fontWeight: 600}}>
          {isNamed ? spot.student : 'Open the desk'}
        </Link>
        <Typography variant="body2" color="textSecondary" sx={{overflowWrap: 'anywhere'}}>
          {where}
        </Typography>
      </Box>
      <Box sx={{minWidth: 0}}>
        {isSaid && (
          <Box sx={{display: 'flex', gap: 1, mb: 0.75, color: 'desk.pencil'}}>
            <ProofMark mark={spot.mark} weight={spot.weight} />
            <Typography variant="body2" sx={{color: 'text.primary'}}>
              <Coded>{`${spot.message} ${spot.remedy}`}</Coded>
            </Typography>
          </Box>
        )}
        <Quoted lines={spot.lines} state={spot.state} />
        {spot.lines.length === 0 && (
          <Typography variant="body2" color="textSecondary">
            The whole file is meant.
          </Typography>
        )}
      </Box>
      <Box sx={{display: 'flex', flexDirection: 'column', alignItems: 'flex-start', gap: 0.25}}>
        <Decision word="Ink" done="Inked" isDone={spot.state === 'inked'} onClick={() => onDecide('inked')} />
        <Decision
          word="Rub out"
          done="Rubbed out"
          isDone={spot.state === 'rubbed-out'}
          onClick={() => onDecide('rubbed-out')}
        />
      </Box>
    </Box>
  )
}

/** Pressed again it is back in pencil. */
function Decision({word, done, isDone, onClick}: {word: string; done: string; isDone: boolean; onClick: () => void}) {
  return (
    <Link
      component="button"
      variant="body2"
      aria-pressed={isDone}
      color={isDone ? 'primary' : 'textSecondary'}
      sx={{fontWeight: isDone ? 700 : 400}}
      onClick={onClick}
    >
      {isDone ? done : word}
    </Link>
  )
}
