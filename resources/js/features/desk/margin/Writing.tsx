import {Box, Button, TextField, ToggleButton, ToggleButtonGroup, Typography} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {preview} from '../../../api/desk'
import {KIND_WORDS, type Draft, type NoteKind} from './marks'
import type {MarginActions} from './actions'
import {StockPicker} from './StockPicker'

/** Kinds that a note on a place may be. */
const OF_A_PLACE: NoteKind[] = ['note', 'question', 'merit']

/** A note in the making, where it will stand. */
export function Writing({draft, actions, keeping}: {draft: Draft; actions: MarginActions; keeping: boolean}) {
  const [isRead, setRead] = useState(false)
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
      {isRead ? (
        <AsRead body={draft.body} />
      ) : (
        <TextField
          label={labelOf(draft)}
          multiline
          minRows={3}
          maxRows={14}
          fullWidth
          // Looking for a stock remark, that is where one types; and here again when one was found.
          key={draft.picking === true ? 'later' : 'now'}
          autoFocus={draft.picking !== true}
          value={draft.body}
          onChange={event => actions.type({...draft, body: event.target.value})}
          slotProps={{htmlInput: {style: {fontSize: 14}, dir: 'auto'}}}
        />
      )}
      {OF_A_PLACE.includes(draft.kind) && (
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="What the note does"
          value={draft.kind}
          onChange={(_event, kind: NoteKind | null) => kind !== null && actions.type({...draft, kind})}
          sx={{mt: 0.5}}
        >
          {OF_A_PLACE.map(kind => (
            <ToggleButton key={kind} value={kind} sx={{py: 0.1, px: 1, textTransform: 'none'}}>
              {KIND_WORDS[kind]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      <Box sx={{display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 0.5, mt: 0.5}}>
        {draft.picking !== true && <Button onClick={() => actions.type({...draft, picking: true})}>Stock</Button>}
        <Button aria-pressed={isRead} onClick={() => setRead(!isRead)} disabled={draft.body.trim() === ''}>
          {isRead ? 'Write' : 'As read'}
        </Button>
        {draft.line !== null && draft.id === null && <LastLine draft={draft} line={draft.line} onType={actions.type} />}
        <Box sx={{flex: 1}} />
        <Button onClick={actions.discard}>Discard</Button>
        <Button type="submit" variant="contained" loading={keeping} disabled={draft.body.trim() === ''}>
          Keep
        </Button>
      </Box>
    </Box>
  )
}

/** To which line it reaches, where it is about several. */
function LastLine({draft, line, onType}: {draft: Draft; line: number; onType: (draft: Draft) => void}) {
  return (
    <Typography variant="body2" component="label" color="textSecondary">
      to line{' '}
      <input
        type="number"
        min={line}
        value={draft.endLine ?? line}
        onChange={event => {
          const to = Number(event.target.value)
          onType({...draft, endLine: to > line ? to : null})
        }}
        style={{width: '4rem', font: 'inherit'}}
      />
    </Typography>
  )
}

/** As the student will read it. */
function AsRead({body}: {body: string}) {
  const {data, error} = useQuery(preview(body))
  return (
    <Typography
      variant="body1"
      component="div"
      dir="auto"
      aria-label="As it will be read"
      sx={{fontSize: '0.9rem', lineHeight: 1.45, minHeight: '4.5em', overflowWrap: 'anywhere', '& p': {mt: 0}}}
      dangerouslySetInnerHTML={{__html: data?.html ?? (error === null ? '…' : 'It cannot be shown just now.')}}
    />
  )
}

function labelOf({kind, file, line, endLine}: Draft): string {
  if (kind === 'opening' || kind === 'closing') return `The ${KIND_WORDS[kind]} of the reply`
  if (line !== null)
    return endLine == null || endLine <= line ? `Note at line ${line}` : `Note at lines ${line} to ${endLine}`
  return file === null ? 'Note on the whole hand-in' : `Note on ${file}`
}
