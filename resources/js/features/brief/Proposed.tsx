import {Box, Button, Typography} from '@mui/material'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {many} from '../../lib/when'
import {ink, inkAll, proposedOf, rubOut, rubOutAll, type Doc} from './document'
import {OutcomeOf, type Tried} from './OutcomeOf'

/** Sentences that were proposed from the model answer: in pencil until each is inked or rubbed out. */
export function Proposed({
  doc,
  readings,
  tried,
  onWrite,
}: {
  doc: Doc
  readings: Schemas['RequirementReading'][]
  tried: Tried
  onWrite: (doc: Doc) => void
}) {
  const proposed = proposedOf(doc)
  if (proposed.length === 0) return null
  return (
    <Box component="section" aria-labelledby="in-pencil" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 1}}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
        <Typography variant="h2" id="in-pencil" sx={{flex: 1}}>
          In pencil
        </Typography>
        <Button variant="outlined" onClick={() => onWrite(inkAll(doc))}>
          Ink all
        </Button>
        <Button onClick={() => onWrite(rubOutAll(doc))}>Rub out all</Button>
      </Box>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        {many(proposed.length, 'sentence')} that the model answer meets. Ink those that should stand; the others are no
        part of the brief.
      </Typography>
      <Box component="ol" sx={{listStyle: 'none', m: 0, p: 0}}>
        {proposed.map((asked, at) => {
          const title = String(asked.title ?? asked.id ?? asked.kind)
          const reading = readings[at]
          return (
            <Box component="li" key={JSON.stringify(asked)} sx={{borderTop: 1, borderColor: 'divider', py: 1}}>
              <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
                <Typography variant="body1" sx={{flex: 1, color: 'desk.pencil'}}>
                  {title}. {reading?.sentence !== null && reading !== undefined && <Coded>{reading.sentence}</Coded>}
                </Typography>
                <Typography variant="body2" noWrap sx={{color: 'desk.pencil'}}>
                  {many(reading?.points ?? 0, 'point')}
                </Typography>
                <Button size="small" aria-label={`Ink ${title}`} onClick={() => onWrite(ink(doc, at))}>
                  Ink
                </Button>
                <Button size="small" aria-label={`Rub out ${title}`} onClick={() => onWrite(rubOut(doc, at))}>
                  Rub out
                </Button>
              </Box>
              {reading !== undefined && <OutcomeOf reading={reading} tried={tried} />}
            </Box>
          )
        })}
      </Box>
    </Box>
  )
}
