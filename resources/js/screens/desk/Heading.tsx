import {Box, Button, Link, Typography} from '@mui/material'
import {memo} from 'react'
import {Link as RouterLink} from 'react-router'
import type {Schemas} from '../../api/client'
import {when} from '../../parts/when'
import {SheetTabs} from './SheetTabs'
import {VIEWS} from './views/views'

/** The tabs that are cut into the sheet's top edge, how the hand-in came, and the way to its reply. */
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
      <Box sx={{flex: 1, minWidth: 0, pb: 0.75}}>
        <Typography
          variant="body2"
          color="textSecondary"
          component="div"
          noWrap
          title={`${cameAs(desk)}, ${when(desk.arrivedAt)}`}
        >
          {desk.attempts.length > 1 &&
            desk.attempts.map(one => (
              <Box key={one.id} component="span" sx={{mr: 1}}>
                {one.id === desk.id ? (
                  <b>attempt {one.attempt}</b>
                ) : (
                  <Link component={RouterLink} to={`/hand-ins/${one.id}`}>
                    attempt {one.attempt}
                  </Link>
                )}
              </Box>
            ))}
          {desk.late && (
            <Box component="b" sx={{color: 'desk.waits', mr: 1}}>
              late
            </Box>
          )}
          {cameAs(desk)}, {when(desk.arrivedAt)}
        </Typography>
      </Box>
      <Box sx={{display: 'flex', gap: 1, pb: 0.5}}>
        <Button onClick={onWrite}>Write a note</Button>
        <Button component={RouterLink} to={`/hand-ins/${desk.id}/reply`} variant="outlined">
          {desk.repliedAt === null ? 'Reply' : 'Reply, released'}
        </Button>
      </Box>
    </Box>
  )
}, isSameHeading)

/** As an archive with a name, as a folder that was packed on its way, or fetched from where it is published. */
const cameAs = ({archiveName, served}: Schemas['Desk']) =>
  archiveName !== '' ? archiveName : served === null ? 'a folder' : 'fetched'

interface HeadingProps {
  desk: Schemas['Desk']
  view: string
}

/** A verdict makes the desk another one, and leaves its heading as it is. */
function isSameHeading(before: HeadingProps, after: HeadingProps): boolean {
  const parts = ['id', 'archiveName', 'attempts', 'late', 'repliedAt'] as const
  return before.view === after.view && parts.every(part => before.desk[part] === after.desk[part])
}
