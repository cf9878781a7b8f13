import {Box, Typography} from '@mui/material'

/**
 * How much of a thing is decided, as strokes: pencilled ones hollow and thin, inked ones solid, rubbed out ones a
 * trace.
 */
export function Tally({pencilled, inked, rubbedOut}: {pencilled: number; inked: number; rubbedOut: number}) {
  const words = [
    pencilled > 0 ? `${pencilled} in pencil` : null,
    inked > 0 ? `${inked} in ink` : null,
    rubbedOut > 0 ? `${rubbedOut} rubbed out` : null,
  ].filter(word => word !== null)
  if (words.length === 0)
    return (
      <Typography variant="body2" component="span" color="textSecondary">
        nothing found
      </Typography>
    )
  const strokes = [
    ...Array.from({length: inked}, () => ({width: '3px', color: 'desk.ink', opacity: 1})),
    ...Array.from({length: pencilled}, () => ({width: '1px', color: 'desk.pencil', opacity: 1})),
    ...Array.from({length: rubbedOut}, () => ({width: '1px', color: 'desk.pencil', opacity: 0.35})),
  ]
  return (
    <Box component="span" sx={{display: 'inline-flex', alignItems: 'baseline', gap: 1}}>
      <Box
        component="span"
        aria-hidden
        sx={{display: 'inline-flex', gap: '3px', alignSelf: 'center', alignItems: 'center', height: 14}}
      >
        {strokes.slice(0, 24).map(({width, color, opacity}, index) => (
          <Box
            key={index}
            component="span"
            sx={{width, height: 12, bgcolor: color, opacity, transform: 'rotate(8deg)'}}
          />
        ))}
      </Box>
      <Typography variant="body2" component="span" color="textSecondary">
        {words.join(', ')}
      </Typography>
    </Box>
  )
}
