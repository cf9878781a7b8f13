import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {classSheet} from '../../api/marking'
import {Coded} from '../../ui/Coded'
import {LastDone, useWayBack, type Done} from '../frame/LastDone'
import {ErrorText} from '../../ui/Remark'
import {titleOf} from '../../lib/rules'
import {many} from '../../lib/when'
import {deskAt, stripOf} from './address'
import {ByRequirement} from './ByRequirement'
import {useDecision} from './decisions'

/** So many kinds are shown at first. */
const MAX_SHOWN = 15

/** The commonest slips, with whose they are; one kind is inked or rubbed out for the whole class at once. */
export function Slips({assignmentId, sheet}: {assignmentId: string; sheet: Schemas['ClassSheet']}) {
  const [isByKind, setByKind] = useState(true)
  return (
    <Box
      component="section"
      aria-labelledby="slips"
      tabIndex={0}
      sx={{borderLeft: 1, borderColor: 'divider', overflow: 'auto', px: 2.5, py: 2.5}}
    >
      <Typography variant="h2" id="slips" gutterBottom>
        Commonest slips
      </Typography>
      <Box sx={{display: 'flex', gap: 2, mb: 1}}>
        <Link
          component="button"
          variant="body2"
          aria-pressed={isByKind}
          sx={onWhen(isByKind)}
          onClick={() => setByKind(true)}
        >
          by kind
        </Link>
        <Link
          component="button"
          variant="body2"
          aria-pressed={!isByKind}
          sx={onWhen(!isByKind)}
          onClick={() => setByKind(false)}
        >
          by requirement
        </Link>
        <Box sx={{flex: 1}} />
        <Link component={RouterLink} variant="body2" to={`/assignments/${assignmentId}/lesson`}>
          Next lesson
        </Link>
      </Box>
      {isByKind ? (
        <Kinds
          assignmentId={assignmentId}
          slips={sheet.slips}
          requirements={sheet.requirements}
          handIns={sheet.rows.filter(one => one.handInId !== null).length}
        />
      ) : (
        <ByRequirement rows={sheet.rows} requirements={sheet.requirements} />
      )}
    </Box>
  )
}

const onWhen = (isOn: boolean) => ({fontWeight: isOn ? 700 : 400, color: isOn ? 'text.primary' : 'text.secondary'})

function Kinds({
  assignmentId,
  slips,
  requirements,
  handIns,
}: {
  assignmentId: string
  slips: Schemas['ClassSlip'][]
  requirements: Schemas['SheetRequirement'][]
  handIns: number
}) {
  const [open, setOpen] = useState<string | null>(null)
  const [isWhole, setWhole] = useState(false)
  const [last, setLast] = useState<Done | null>(null)
  const queries = useQueryClient()
  const refresh = () => queries.invalidateQueries({queryKey: classSheet(assignmentId).queryKey})
  const back = useWayBack(async () => {
    setLast(null)
    await refresh()
  })
  const shown = isWhole ? slips : slips.slice(0, MAX_SHOWN)
  return (
    <>
      {last !== null && <LastDone last={last} onBack={batch => back.mutate(batch)} />}
      <ErrorText error={back.error} />
      {slips.length === 0 && (
        <Typography variant="body2" color="textSecondary">
          Nothing was found in any hand-in.
        </Typography>
      )}
      <Box component="ul" sx={{listStyle: 'none', m: 0, p: 0}}>
        {shown.map(slip => {
          const key = `${slip.rule} ${slip.variant}`
          return (
            <Box component="li" key={key} sx={{borderTop: 1, borderColor: 'desk.rule', py: 0.75}}>
              <Box sx={{display: 'grid', gridTemplateColumns: '3.2rem minmax(0, 1fr)', gap: 1, alignItems: 'baseline'}}>
                <Typography variant="body2" sx={{fontWeight: slip.weight === 'fault' ? 700 : 400}}>
                  {slip.places.length} of {handIns}
                </Typography>
                <div>
                  <Link
                    component="button"
                    variant="body2"
                    aria-expanded={open === key}
                    color={slip.pencilled > 0 ? 'primary' : 'textSecondary'}
                    sx={{textAlign: 'left'}}
                    onClick={() => setOpen(open === key ? null : key)}
                  >
                    {nameOf(slip, requirements)}
                  </Link>
                  <Typography variant="body2" color="textSecondary" sx={open === key ? {} : ONE_LINE}>
                    <Coded>{slip.message}</Coded>
                  </Typography>
                </div>
              </Box>
              {open === key && (
                <Slip
                  assignmentId={assignmentId}
                  slip={slip}
                  onDecided={async decided => {
                    setLast(decided)
                    await refresh()
                  }}
                />
              )}
            </Box>
          )
        })}
      </Box>
      {slips.length > shown.length && (
        <Link component="button" variant="body2" underline="always" onClick={() => setWhole(true)}>
          and {slips.length - shown.length} more kinds
        </Link>
      )}
    </>
  )
}

/** What a requirement asks for goes by its own title: one rule speaks for many of them. */
const nameOf = ({rule, variant, requirement}: Schemas['ClassSlip'], requirements: Schemas['SheetRequirement'][]) =>
  (variant.includes('@') && requirements.find(({id}) => id === requirement)?.title) || titleOf(rule)

const ONE_LINE = {overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap'} as const

/** Whose a slip is, and what is decided about it for all. */
function Slip({
  assignmentId,
  slip,
  onDecided,
}: {
  assignmentId: string
  slip: Schemas['ClassSlip']
  onDecided: (done: Done) => Promise<void>
}) {
  const [reason, setReason] = useState('')
  const decide = useDecision(
    assignmentId,
    slip,
    (told, does) =>
      `${does === 'inked' ? 'Inked' : 'Rubbed out'} ${told.findings} in ${many(told.handIns, 'hand-in')}.`,
    onDecided,
  )
  return (
    <Box sx={{pl: '4.1rem', pt: 0.5}}>
      <Typography variant="body2" component="div">
        {slip.places.map((place, at) => (
          <span key={place.handInId}>
            {at > 0 && ', '}
            <Link
              component={RouterLink}
              to={deskAt(place)}
              sx={{
                color: place.pencilled > 0 ? 'desk.pencil' : 'desk.ink',
                fontWeight: place.pencilled > 0 ? 400 : 700,
              }}
            >
              {place.student}
              {place.findings > 1 ? ` (${place.findings})` : ''}
            </Link>
          </span>
        ))}
      </Typography>
      <Link component={RouterLink} variant="body2" underline="always" to={stripOf(assignmentId, slip)}>
        {slip.findings === 1 ? 'Read the place' : `Read all ${slip.findings} places in a row`}
      </Link>
      {slip.pencilled > 0 ? (
        <>
          <TextField
            label="Why rubbed out (you need not say)"
            value={reason}
            onChange={event => setReason(event.target.value)}
            fullWidth
            sx={{mt: 1}}
          />
          <Box sx={{display: 'flex', gap: 1, mt: 0.75}}>
            <Button variant="contained" loading={decide.isPending} onClick={() => decide.mutate({does: 'inked'})}>
              Ink all {slip.pencilled}
            </Button>
            <Button
              disabled={decide.isPending}
              onClick={() => decide.mutate({does: 'rubbed-out', words: reason.trim() === '' ? null : reason})}
            >
              Rub out all
            </Button>
          </Box>
        </>
      ) : (
        <Typography variant="body2" color="textSecondary" sx={{mt: 0.5}}>
          All {slip.findings} are decided.
        </Typography>
      )}
      <ErrorText error={decide.error} />
    </Box>
  )
}
