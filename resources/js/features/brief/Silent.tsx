import {Box, Button, Typography} from '@mui/material'
import type {Schemas} from '../../lib/schemas'
import {FieldBlanks} from './Blanks'
import {addIgnored, ignoredOf, setIgnored, strikeIgnored, type Doc} from './document'

/** Rules that say nothing under this brief, everywhere or on some pages. */
export function Silent({
  doc,
  fields,
  names,
  onWrite,
}: {
  doc: Doc
  fields: Schemas['BriefFieldView'][]
  names: string[]
  onWrite: (doc: Doc, field?: string) => void
}) {
  return (
    <Box component="section" aria-labelledby="silent" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 3}}>
      <Typography variant="h2" id="silent" gutterBottom>
        Ignored rules
      </Typography>
      {ignoredOf(doc).map((one, at) => (
        // Each is known by its place alone.
        <Box key={at} sx={{display: 'flex', alignItems: 'baseline', gap: 2, mb: 1}}>
          <FieldBlanks
            fields={fields}
            values={one}
            names={names}
            onWrite={(name, value) => onWrite(setIgnored(doc, at, name, value), `ignore ${at} ${name}`)}
          />
          <Button aria-label={`Remove ignored rule ${at + 1}`} onClick={() => onWrite(strikeIgnored(doc, at))}>
            Remove
          </Button>
        </Box>
      ))}
      <Button variant="outlined" onClick={() => onWrite(addIgnored(doc))}>
        Ignore a rule
      </Button>
    </Box>
  )
}
