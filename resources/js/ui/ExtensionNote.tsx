import {Typography} from '@mui/material'
import type {Schemas} from '../lib/schemas'
import {when, whenIn} from '../lib/when'

type Extension = Schemas['ExtensionView']

/**
 * What a student, or a group, may do otherwise than the class, in a few words.
 *
 * @param timeZone that the due time was written in; undefined for the reader's own
 */
export const extensionInWords = ({dueAt, waived, excused}: Extension, timeZone?: string): string =>
  [
    dueAt === null ? '' : `due ${timeZone === undefined ? when(dueAt) : whenIn(dueAt, timeZone)}`,
    waived ? 'lateness does not count' : '',
    excused ? 'excused' : '',
  ]
    .filter(words => words !== '')
    .join(', ')

/** The same as a line, with the reason, which only markers see. */
export function ExtensionNote({extension, timeZone}: {extension: Extension; timeZone: string}) {
  return (
    <Typography variant="body2" sx={{mb: 1}}>
      Extension{extension.group === null ? '' : ` of group ${extension.group}`}: {extensionInWords(extension, timeZone)}
      . Only markers see the reason: {extension.reason}
    </Typography>
  )
}
