import {Box, Button} from '@mui/material'
import {memo} from 'react'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {SheetTabs} from './SheetTabs'
import {VIEWS} from './views/views'

/** The tabs that are cut into the sheet's top edge, and the way to the reply. */
export const Heading = memo(function Heading({
  desk,
  view,
  onView,
  onWrite,
}: {
  desk: Schemas['Desk']
  view: string
  onView: (view: string) => void
  onWrite: () => void
}) {
  return (
    <Box sx={{display: 'flex', alignItems: 'flex-end', gap: 2, px: 2, pt: 1, borderBottom: 1, borderColor: 'divider'}}>
      <SheetTabs views={VIEWS} view={view} onView={onView} />
      <Box sx={{flex: 1}} />
      <Box sx={{display: 'flex', gap: 1, pb: 0.5}}>
        <Button onClick={onWrite}>Write a note</Button>
        <Button component={RouterLink} to={`/hand-ins/${desk.id}/reply`} variant="outlined">
          {desk.repliedAt === null ? 'Reply' : 'Reply, released'}
        </Button>
      </Box>
    </Box>
  )
}, isSameHeading)

interface HeadingProps {
  desk: Schemas['Desk']
  view: string
}

/** A verdict makes the desk another one, and leaves its heading as it is. */
function isSameHeading(before: HeadingProps, after: HeadingProps): boolean {
  const parts = ['id', 'repliedAt'] as const
  return before.view === after.view && parts.every(part => before.desk[part] === after.desk[part])
}
