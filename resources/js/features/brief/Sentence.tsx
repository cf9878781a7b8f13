import {Box, Button, Typography} from '@mui/material'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {Movable} from '../../ui/InOrder'
import {many} from '../../lib/when'
import {Blanks} from './Blanks'
import {move, setField, strike, type Asked, type Doc} from './document'
import {OutcomeOf, type Tried} from './OutcomeOf'

type Reading = Schemas['RequirementReading']

/** Blanks that are opened at the foot of the screen are brought into view. */
const inView = (blanks: HTMLElement | null) => blanks?.scrollIntoView({block: 'nearest'})

/** One requirement: its sentence, what it comes to, and its blanks while it is chosen. */
export function Sentence({
  at,
  asked,
  reading,
  kinds,
  names,
  tried,
  isOpen,
  onOpen,
  onMove,
  doc,
  onWrite,
}: {
  at: number
  asked: Asked
  reading: Reading | undefined
  kinds: Schemas['BriefKinds']
  /** files, elements and classes of the site that it is tried on */
  names: string[]
  tried: Tried
  isOpen: boolean
  onOpen: (isOpen: boolean) => void
  onMove: (by: number) => void
  doc: Doc
  onWrite: (doc: Doc, field?: string) => void
}) {
  const title = String(asked.title ?? asked.id ?? asked.kind)
  const shift = (by: number) => {
    onWrite(move(doc, at, by))
    onMove(by)
  }
  return (
    <Movable id={String(asked.id)} at={at} title={title}>
      <Box sx={{display: 'flex', gap: 2, alignItems: 'baseline'}}>
        <Box
          component="button"
          type="button"
          aria-expanded={isOpen}
          onClick={() => onOpen(!isOpen)}
          sx={{
            flex: 1,
            font: 'inherit',
            color: 'inherit',
            textAlign: 'left',
            background: 'none',
            border: 0,
            p: 0,
            cursor: 'pointer',
            '&:hover strong': {textDecoration: 'underline'},
          }}
        >
          <Typography variant="body1" component="span">
            <strong>{title}.</strong>{' '}
            {reading?.sentence !== null && reading?.sentence !== undefined && <Coded>{reading.sentence}</Coded>}
          </Typography>
        </Box>
        <Typography variant="body2" noWrap>
          {many(reading?.points ?? 0, 'point')}
        </Typography>
      </Box>
      {reading?.problems.map(problem => (
        <Typography key={problem} variant="body2" sx={{color: 'desk.fault'}}>
          <Coded>{problem}</Coded>
        </Typography>
      ))}
      {reading !== undefined && <OutcomeOf reading={reading} tried={tried} />}
      {isOpen && (
        <Box ref={inView} sx={{pl: 2, my: 1, borderLeft: 2, borderColor: 'desk.ink'}}>
          <Blanks
            asked={asked}
            kinds={kinds}
            names={names}
            onWrite={(name, value) => onWrite(setField(doc, at, name, value), `${at} ${name}`)}
          />
          <Box sx={{display: 'flex', gap: 1, mt: 1}}>
            <Button disabled={at === 0} onClick={() => shift(-1)}>
              Move up
            </Button>
            <Button onClick={() => shift(1)}>Move down</Button>
            <Button
              onClick={() => {
                onOpen(false)
                onWrite(strike(doc, at))
              }}
            >
              Remove
            </Button>
          </Box>
        </Box>
      )}
    </Movable>
  )
}
