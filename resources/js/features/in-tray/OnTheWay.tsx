import {Box, LinearProgress, Typography} from '@mui/material'
import {bytes} from '../../lib/bytes'
import {many} from '../../lib/when'
import type {Sending, Sent} from '../../api/sending'

/** So many lines are shown; the others are counted. */
const MAX_LINES = 6

/** How far what was dropped is: all of it, and each that is on its way or did not arrive. */
export function OnTheWay({sending: {isBusy, files}}: {sending: Sending}) {
  const there = files.filter(({state}) => state === 'there').length
  const failed = files.filter(({state}) => state === 'failed')
  const moving = files.filter(({state}) => state === 'on its way')
  const waiting = files.filter(({state}) => state === 'waits').length
  return (
    <Box sx={{mt: 2, maxWidth: 620, mx: 'auto', textAlign: 'left'}}>
      <Typography variant="body2" role="status" sx={{textAlign: 'center', mb: 0.5}}>
        {isBusy ? `${there} of ${many(files.length, 'file')} in the tray…` : `${many(there, 'file')} taken.`}
      </Typography>
      {isBusy && <LinearProgress variant="determinate" aria-label="All of it" value={shareOf(files)} sx={{mb: 1}} />}
      {moving.slice(0, MAX_LINES).map((file, at) => (
        <Line key={`${at} ${file.name}`} file={file} />
      ))}
      {isBusy && waiting + moving.length > MAX_LINES && (
        <Typography variant="body2" color="textSecondary">
          and {waiting + Math.max(0, moving.length - MAX_LINES)} more after these. You may look at other screens
          meanwhile; keep the tab open.
        </Typography>
      )}
      {failed.map(({name, why}, at) => (
        <Typography key={`${at} ${name}`} role="alert" variant="body2" sx={{color: 'desk.fault'}}>
          {name}: {why}
        </Typography>
      ))}
    </Box>
  )
}

const Line = ({file}: {file: Sent}) => (
  <Box sx={{display: 'grid', gridTemplateColumns: '1fr 10rem 4rem', gap: 2, alignItems: 'center'}}>
    <Typography variant="body2" noWrap>
      {file.name}
    </Typography>
    <LinearProgress
      variant={file.received > 0 ? 'determinate' : 'indeterminate'}
      aria-label={file.name}
      value={shareOf([file])}
    />
    <Typography variant="body2" color="textSecondary" sx={{textAlign: 'right'}}>
      {bytes(file.bytes)}
    </Typography>
  </Box>
)

/** How much of it is there, of 100. */
export const shareOf = (files: Sent[]) => {
  const done = (file: Sent) => (file.state === 'failed' ? file.bytes : Math.min(file.received, file.bytes))
  const bytes = files.reduce((sum, file) => sum + file.bytes, 0)
  return bytes === 0 ? 0 : Math.min(100, (100 * files.reduce((sum, file) => sum + done(file), 0)) / bytes)
}
