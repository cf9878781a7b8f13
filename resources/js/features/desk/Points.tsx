import {Box, Button, FormControlLabel, Link, Radio, RadioGroup, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useEffect, useRef, useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {desk} from '../../api/desk'
import {Coded} from '../../ui/Coded'
import {cost, isOpen, notJudged, together} from '../../lib/cost'
import {CostTag} from '../../ui/CostTag'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'
import {hundredths, typedNumber} from '../../lib/numbers'
import {useDesk} from './deskState'
import {ALL} from './margin/filter'

/** Places that are shown for one requirement; the rest is in the margin. */
const MAX_SHOWN = 6

const OUTCOMES = {met: 'met', partly: 'partly', unmet: 'unmet', 'not-judged': 'not judged yet'} as const

/** The requirements and their points, folded to one line until they are wanted. */
export function Points() {
  const {desk, mode, change} = useDesk()
  const {points} = mode
  const {outcomes, score} = desk
  if (outcomes.length === 0) return null
  return (
    <Box
      component="section"
      aria-label="Points"
      sx={{borderBottom: 1, borderColor: 'divider', px: 2, py: 1, maxHeight: '45vh', overflow: 'auto', flexShrink: 0}}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 1.5}}>
        <Typography variant="h3" component="h2">
          {score.awarded} of {many(score.possible, 'point')}
        </Typography>
        <Typography variant="body2" color="textSecondary" sx={{flex: 1}}>
          {inShort(outcomes)}
          {score.open > 0 && (
            <Box component="span" sx={{display: 'block', color: 'desk.waits'}}>
              Provisional: {notJudged(score.open)}
            </Box>
          )}
        </Typography>
        <Link
          component="button"
          variant="body2"
          aria-expanded={points.isOpen}
          onClick={() => change({change: 'fold or unfold points'})}
        >
          {points.isOpen ? 'Fold' : 'Unfold'}
        </Link>
      </Box>
      {points.isOpen &&
        outcomes.map(outcome => (
          <Requirement
            key={outcome.requirement}
            outcome={outcome}
            isMeant={points.requirement === outcome.requirement}
          />
        ))}
      {points.isOpen &&
        score.others.map(line => (
          <Box key={line.title} sx={{borderTop: 1, borderColor: 'divider', py: 0.75, mt: 0.75}}>
            <Typography variant="body2" sx={{display: 'flex', gap: 1, fontWeight: 600}}>
              <span style={{flex: 1}}>{line.title}</span>
              {line.points}
            </Typography>
            <Typography variant="body2" color="textSecondary">
              {line.how}
            </Typography>
          </Box>
        ))}
    </Box>
  )
}

/** @param isMeant whether it was asked for from one of its findings */
function Requirement({outcome, isMeant}: {outcome: Schemas['DeskOutcome']; isMeant: boolean}) {
  const {desk: data, mode, change, go} = useDesk()
  const {filter} = mode
  const handIn = data.id
  const place = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (!isMeant) return
    place.current?.scrollIntoView({block: 'nearest'})
    // What only a person can judge is judged with the arrow keys.
    place.current?.querySelector<HTMLInputElement>('input[type=radio]')?.focus()
  }, [isMeant])
  const isFilter = filter.requirement === outcome.requirement
  const places = together(outcome.shortfalls)
  const rest = places.slice(MAX_SHOWN)
  const costOfRest = hundredths(rest.reduce((sum, one) => sum + one.cost, 0))
  const [draft, setDraft] = useState<{points: string; reason: string} | null>(null)
  const queries = useQueryClient()
  const path = {handIn, requirement: outcome.requirement}
  const settle = async () => {
    setDraft(null)
    await queries.invalidateQueries({queryKey: desk(handIn).queryKey})
  }
  const give = useMutation({
    mutationFn: ({points, reason}: {points: string; reason: string}) =>
      unwrap(
        api.PUT('/api/hand-ins/{handIn}/marks/{requirement}', {
          params: {path},
          body: {points: typedNumber(points), reason},
        }),
      ),
    onSuccess: settle,
  })
  const takeBack = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/hand-ins/{handIn}/marks/{requirement}', {params: {path}})),
    onSuccess: settle,
  })
  return (
    <Box
      ref={place}
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        py: 0.75,
        mt: 0.75,
        ...(isMeant ? {borderLeft: '2px solid', borderLeftColor: 'desk.ink', pl: 1, ml: -1.25} : {}),
      }}
    >
      <Box sx={{display: 'flex', gap: 1, alignItems: 'baseline'}}>
        <Typography variant="body2" sx={{flex: 1, fontWeight: 600}}>
          {outcome.title}
        </Typography>
        {outcome.shortfalls.length > 0 && (
          <Link
            component="button"
            variant="body2"
            aria-pressed={isFilter}
            onClick={() => change({change: 'filter', to: {...ALL, requirement: isFilter ? null : outcome.requirement}})}
          >
            {isFilter ? 'All findings' : 'Its findings'}
          </Link>
        )}
        {draft === null && (
          <Link
            component="button"
            variant="body2"
            onClick={() => setDraft({points: String(outcome.awarded), reason: outcome.reason ?? ''})}
          >
            Give other points
          </Link>
        )}
        <Typography
          variant="body2"
          sx={{
            color: outcome.reason === null ? 'desk.pencil' : 'desk.ink',
            fontWeight: outcome.reason === null ? 400 : 700,
          }}
        >
          {isOpen(outcome) ? `not judged yet, ${outcome.possible}` : `${outcome.awarded} of ${outcome.possible}`}
        </Typography>
      </Box>
      {outcome.leftOut && (
        <Typography variant="body2" sx={{color: 'desk.waits'}}>
          Left out for the whole class: nobody is marked on it.
        </Typography>
      )}
      <Typography variant="body2" color="textSecondary">
        {outcome.choices.length > 0 ? (
          outcome.expected.charAt(0).toUpperCase() + outcome.expected.slice(1)
        ) : (
          <>
            {OUTCOMES[outcome.outcome]}: <Coded>{outcome.measured}</Coded>; expected: <Coded>{outcome.expected}</Coded>
            {outcome.how !== '' && `; points: ${outcome.how}`}
          </>
        )}
      </Typography>
      {outcome.choices.length > 0 && (
        <Scale
          outcome={outcome}
          chosen={give.isPending ? give.variables.reason : outcome.reason}
          onChoose={({words, points}) => give.mutate({points: String(points), reason: words})}
        />
      )}
      {places.slice(0, MAX_SHOWN).map(place => (
        <Typography
          key={`${place.file} ${place.line} ${place.message}`}
          variant="body2"
          sx={{
            pl: 1.5,
            overflowWrap: 'anywhere',
            ...(place.state === 'rubbed-out' ? {color: 'text.secondary', textDecoration: 'line-through'} : {}),
          }}
        >
          <CostTag points={place.cost} mr={0.75} />
          {place.file !== '' && (
            <Link
              component="button"
              variant="body2"
              sx={{verticalAlign: 'baseline'}}
              onClick={() => go({leaf: place.file, line: place.line, mark: null})}
            >
              {place.file}
              {place.line === null ? '' : `, line ${place.line}`}
            </Link>
          )}
          {place.file !== '' && ': '}
          <Coded>{place.message}</Coded>
          {place.follows !== null && ` Follows from “${place.follows}” and costs nothing here.`}
        </Typography>
      ))}
      {rest.length > 0 && (
        <Typography variant="body2" sx={{pl: 1.5}}>
          and {rest.length} more{costOfRest > 0 && `, ${cost(costOfRest)} in all`}
        </Typography>
      )}
      {outcome.reason !== null && outcome.choices.length > 0 && (
        <Typography variant="body2" sx={{color: 'desk.ink'}}>
          {isStep(outcome) ? 'Judged. ' : `${outcome.reason} `}
          <Link component="button" underline="always" onClick={() => takeBack.mutate()}>
            Remove
          </Link>
        </Typography>
      )}
      {outcome.reason !== null && outcome.choices.length === 0 && (
        <Typography variant="body2" sx={{color: 'desk.ink'}}>
          Given by hand instead of {outcome.computed}: {outcome.reason}
          {outcome.givenBefore && ' This was before a reason below it was rubbed out.'}{' '}
          <Link component="button" underline="always" onClick={() => takeBack.mutate()}>
            Back to {outcome.computed}
          </Link>
        </Typography>
      )}
      {draft !== null && (
        <Box
          component="form"
          onSubmit={event => {
            event.preventDefault()
            give.mutate(draft)
          }}
          sx={{display: 'grid', gridTemplateColumns: '5rem 1fr', gap: 1, mt: 1}}
        >
          <TextField
            label="Points"
            value={draft.points}
            autoFocus
            onChange={event => setDraft({...draft, points: event.target.value})}
            slotProps={{htmlInput: {inputMode: 'decimal'}}}
          />
          <TextField
            label="Reason, for the student"
            value={draft.reason}
            onChange={event => setDraft({...draft, reason: event.target.value})}
          />
          <Box sx={{gridColumn: '1 / -1'}}>
            <ErrorText error={give.error} />
            <Button type="submit" variant="contained" loading={give.isPending}>
              Save
            </Button>{' '}
            <Button onClick={() => setDraft(null)}>Cancel</Button>
          </Box>
        </Box>
      )}
    </Box>
  )
}

/** How many requirements are short of what is asked, and how many wait for a person. */
export function inShort(outcomes: Schemas['DeskOutcome'][]): string {
  const counted = outcomes.filter(({leftOut}) => !leftOut)
  const computed = counted.filter(one => one.choices.length === 0 && !isOpen(one))
  const failing = computed.filter(({outcome}) => outcome !== 'met').length
  const waiting = counted.filter(isOpen).length
  const met = failing === 0 ? 'all requirements met' : `${failing} of ${computed.length} not met`
  return waiting === 0 ? met : `${met}, ${waiting} to judge`
}

/** Whether what was given is a step of the scale. */
const isStep = ({choices, reason}: Schemas['DeskOutcome']): boolean => choices.some(({words}) => words === reason)

/** What only a person can judge: the words of the scale, each with its points. */
function Scale({
  outcome,
  chosen,
  onChoose,
}: {
  outcome: Schemas['DeskOutcome']
  /** what was said, or is being kept */
  chosen: string | null
  onChoose: (choice: Schemas['OutcomeChoice']) => void
}) {
  return (
    <RadioGroup
      row
      aria-label={outcome.title}
      value={chosen ?? ''}
      onChange={(_, said) => {
        const choice = outcome.choices.find(({words}) => words === said)
        if (choice !== undefined) onChoose(choice)
      }}
    >
      {outcome.choices.map(({words, points}) => (
        <FormControlLabel
          key={words}
          value={words}
          control={<Radio size="small" sx={{py: 0.25}} />}
          label={
            <Typography variant="body2">
              {words}{' '}
              <Typography component="span" variant="body2" color="textSecondary">
                {points}
              </Typography>
            </Typography>
          }
        />
      ))}
    </RadioGroup>
  )
}
