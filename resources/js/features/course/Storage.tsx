import {Box, LinearProgress, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {space} from '../../api/courses'
import {Part} from '../../ui/Part'
import {bytes} from '../../lib/bytes'

/** How much is stored, and how much is left. */
export function Storage({id}: {id: string}) {
  const {data} = useSuspenseQuery(space(id))
  return (
    <Part title="Storage">
      <Box sx={{display: 'grid', gap: 2, maxWidth: 620}}>
        <Used name="This course" used={data.course} quota={data.courseQuota} />
        <Used name="All courses" used={data.installation} quota={data.installationQuota} />
        <Typography variant="body2" color="textSecondary">
          Files that are the same in several hand-ins are stored once. One student can hand in{' '}
          {bytes(data.studentQuota)} for an assignment: unpacked, all attempts together.
        </Typography>
      </Box>
    </Part>
  )
}

function Used({name, used, quota}: {name: string; used: number; quota: number}) {
  const percent = Math.min(100, Math.round((100 * used) / Math.max(1, quota)))
  return (
    <Box>
      <Typography variant="body1">
        {name}: {bytes(used)} of {bytes(quota)}, {bytes(Math.max(0, quota - used))} left
      </Typography>
      <LinearProgress
        variant="determinate"
        value={percent}
        color={percent > 90 ? 'error' : 'primary'}
        aria-label={`${name}, storage in use`}
        sx={{height: 6}}
      />
    </Box>
  )
}
