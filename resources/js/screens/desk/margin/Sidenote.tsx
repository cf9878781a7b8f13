import {Box, Button, FormControlLabel, Link, Switch, TextField, Typography} from '@mui/material'
import {memo} from 'react'
import {Link as RouterLink} from 'react-router'
import {Coded} from '../../../parts/Coded'
import {ProofMark} from '../../../parts/ProofMark'
import {hour} from '../../../parts/when'
import type {Draft, Finding, MarginItem, State} from './marks'
import {StockPicker} from './StockPicker'

export interface MarginActions {
  choose: (key: string) => void
  decide: (finding: Finding, state: State) => void
  edit: (item: MarginItem) => void
  drop: (id: string) => void
  type: (draft: Draft) => void
  keep: () => void
  discard: () => void
  to: (leaf: string) => string
  /** keeps a note for use again */
  stock: (id: string) => void
}

/** Drawn anew only when it is itself another one: a verdict on one of thousands redraws one. */
export const Sidenote = memo(function Sidenote({
  item,
  current,
  actions,
}: {
  item: Exclude<MarginItem, {kind: 'draft'}>
  current: boolean
  actions: MarginActions
}) {
  return (
    <Box
      onClick={() => actions.choose(item.key)}
      sx={{
        display: 'grid',
        gridTemplateColumns: '1.1rem 1fr',
        gap: 0.75,
        ml: -1,
        pl: '6px',
        borderLeft: '2px solid',
        borderColor: current ? 'desk.ink' : 'transparent',
      }}
    >
      <Typography variant="body2" component="span" sx={{color: 'desk.pencil', textAlign: 'right', fontSize: '0.8em'}}>
        {item.numeral}
      </Typography>
      {item.kind === 'finding' ? (
        <Found finding={item.finding} current={current} actions={actions} />
      ) : (
        <Written item={item} actions={actions} />
      )}
    </Box>
  )
}, isSameNote)

function isSameNote(
  before: {item: MarginItem; current: boolean},
  after: {item: MarginItem; current: boolean},
): boolean {
  const content = (item: MarginItem) =>
    item.kind === 'finding' ? item.finding : item.kind === 'note' ? item.note : item.draft
  return (
    before.current === after.current &&
    before.item.numeral === after.item.numeral &&
    content(before.item) === content(after.item)
  )
}

function Found({finding, current, actions}: {finding: Finding; current: boolean; actions: MarginActions}) {
  const inked = finding.state === 'inked'
  if (finding.state === 'rubbed-out') {
    return (
      <Typography variant="body2" sx={{color: 'text.secondary'}}>
        <Box component="s" sx={{fontStyle: 'italic'}}>
          {finding.rule}
        </Box>{' '}
        rubbed out.{' '}
        <Link component="button" underline="always" onClick={() => actions.decide(finding, 'pencilled')}>
          Bring back
        </Link>
      </Typography>
    )
  }
  return (
    <Box sx={{color: inked ? 'desk.ink' : 'desk.pencil'}}>
      <Box sx={{display: 'flex', gap: 1, alignItems: 'center'}}>
        <ProofMark mark={finding.mark} weight={inked ? 'fault' : finding.weight} />
        <Typography variant="body2" sx={{flex: 1, fontWeight: inked ? 700 : 400}}>
          {finding.weight}
        </Typography>
        <Link
          component="button"
          variant="body2"
          aria-pressed={inked}
          onClick={() => actions.decide(finding, inked ? 'pencilled' : 'inked')}
        >
          {inked ? 'Inked' : 'Ink'}
        </Link>
        {!inked && (
          <Link component="button" variant="body2" onClick={() => actions.decide(finding, 'rubbed-out')}>
            Rub out
          </Link>
        )}
      </Box>
      <Typography
        variant="body1"
        sx={{fontSize: '0.86rem', lineHeight: 1.45, fontWeight: inked ? 600 : 400, overflowWrap: 'anywhere'}}
      >
        <Coded>{finding.message}</Coded>
      </Typography>
      <Typography
        variant="body1"
        sx={{fontSize: '0.86rem', lineHeight: 1.45, fontStyle: 'italic', overflowWrap: 'anywhere'}}
      >
        <Coded>{finding.remedy}</Coded>
      </Typography>
      <Kept {...finding} reported={finding.current} />
      {current &&
        finding.related.map(place => (
          <Typography key={`${place.file}:${place.line}`} variant="body2">
            <Link component={RouterLink} underline="always" to={actions.to(place.file)}>
              {place.file}, line {place.line}
            </Link>
            : <Coded>{place.message}</Coded>
          </Typography>
        ))}
    </Box>
  )
}

/** What became of a remark that is not where it was made, or that no rule makes any more. */
function Kept({
  placed,
  fromAttempt,
  quotation,
  reported = true,
}: {
  placed: boolean
  fromAttempt: number | null
  quotation: string | null
  reported?: boolean
}) {
  if (placed && reported && fromAttempt === null) return null
  const origin = fromAttempt === null ? '' : `From attempt ${fromAttempt}. `
  const place = placed ? '' : 'Its place is not in this attempt, so it is not in the reply. '
  const rule = placed && !reported ? 'The rules no longer report this; it stays as you inked it. ' : ''
  return (
    <Typography variant="body2" sx={{color: 'text.secondary', overflowWrap: 'anywhere'}}>
      {origin}
      {place}
      {rule}
      {(!placed || !reported) && quotation !== null && `It was about “${quotation}”.`}
    </Typography>
  )
}

function Written({item, actions}: {item: Extract<MarginItem, {kind: 'note'}>; actions: MarginActions}) {
  const {note} = item
  return (
    <Box sx={{color: note.placed ? (note.merit ? 'desk.merit' : 'desk.ink') : 'desk.pencil'}}>
      <Box sx={{display: 'flex', gap: 1.5}}>
        <Typography variant="body2" sx={{flex: 1, fontWeight: 700}}>
          {note.merit ? 'merit' : 'note'}
          <Box component="span" sx={{fontWeight: 400}}>
            , kept at {hour(new Date(note.keptAt))}
          </Box>
        </Typography>
        <Link component="button" variant="body2" color="inherit" onClick={() => actions.edit(item)}>
          Change
        </Link>
        <Link component="button" variant="body2" color="inherit" onClick={() => actions.drop(note.id)}>
          Take out
        </Link>
        <Link
          component="button"
          variant="body2"
          color="inherit"
          title="Keep it as a stock remark"
          onClick={() => actions.stock(note.id)}
        >
          Stock
        </Link>
      </Box>
      <Typography
        variant="body1"
        component="div"
        sx={{fontSize: '0.9rem', lineHeight: 1.45, '& p': {m: 0}, '& a': {color: 'inherit'}}}
        dangerouslySetInnerHTML={{__html: note.html}}
      />
      <Kept {...note} />
    </Box>
  )
}

export function Writing({draft, actions, keeping}: {draft: Draft; actions: MarginActions; keeping: boolean}) {
  return (
    <Box
      component="form"
      onSubmit={event => {
        event.preventDefault()
        actions.keep()
      }}
      onKeyDown={event => {
        if (event.key === 'Escape') actions.discard()
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) actions.keep()
      }}
      sx={{bgcolor: 'background.default', p: 1}}
    >
      {draft.picking === true && <StockPicker draft={draft} onPick={actions.type} />}
      <TextField
        label={
          draft.line === null
            ? draft.file === null
              ? 'Note on the whole hand-in'
              : `Note on ${draft.file}`
            : `Note at line ${draft.line}`
        }
        multiline
        minRows={3}
        maxRows={14}
        fullWidth
        // Looking for a stock remark, that is where one types; and here again when one was found.
        key={draft.picking === true ? 'later' : 'now'}
        autoFocus={draft.picking !== true}
        value={draft.body}
        onChange={event => actions.type({...draft, body: event.target.value})}
        slotProps={{htmlInput: {style: {fontSize: 14}}}}
      />
      <Box sx={{display: 'flex', alignItems: 'center', gap: 1, mt: 0.5}}>
        <FormControlLabel
          sx={{flex: 1}}
          label={<Typography variant="body2">Merit</Typography>}
          control={
            <Switch
              size="small"
              checked={draft.merit}
              onChange={event => actions.type({...draft, merit: event.target.checked})}
            />
          }
        />
        {draft.picking !== true && <Button onClick={() => actions.type({...draft, picking: true})}>Stock</Button>}
        <Button onClick={actions.discard}>Discard</Button>
        <Button type="submit" variant="contained" loading={keeping} disabled={draft.body.trim() === ''}>
          Keep
        </Button>
      </Box>
    </Box>
  )
}
