import {Typography} from '@mui/material'

/** What became of a remark that is not where it was made, or that no rule makes any more. */
export function Kept({
  placed,
  fromAttempt,
  quotation,
  reported = true,
}: {
  placed: boolean
  fromAttempt: number | null
  quotation: string | null
  reported?: boolean
}) {
  if (placed && reported && fromAttempt === null) return null
  const origin = fromAttempt === null ? '' : `From attempt ${fromAttempt}. `
  const place = placed ? '' : 'Its place is not in this attempt, so it is not in the reply. '
  const rule = placed && !reported ? 'The rules no longer report this; it stays as you inked it. ' : ''
  return (
    <Typography variant="body2" sx={{color: 'text.secondary', overflowWrap: 'anywhere'}}>
      {origin}
      {place}
      {rule}
      {(!placed || !reported) && quotation !== null && `It was about “${quotation}”.`}
    </Typography>
  )
}
