import {Box, Typography} from '@mui/material'
import {mono} from './theme'

/** An example of a rule: code that is wrong beside the same as it should be. */
export function WrongAndRight({bad, good}: {bad: string; good: string}) {
  return (
    <Box sx={{display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 18rem), 1fr))', gap: 2}}>
      <Code title="Wrong" text={bad} isRight={false} />
      <Code title="Right" text={good} isRight />
    </Box>
  )
}

function Code({title, text, isRight}: {title: string; text: string; isRight: boolean}) {
  return (
    <Box sx={{minWidth: 0}}>
      <Typography variant="body2" sx={{color: isRight ? 'desk.merit' : 'desk.fault', fontWeight: 600}}>
        {title}
      </Typography>
      <Box
        component="pre"
        sx={{
          fontFamily: mono,
          fontSize: 'max(12.5px, 0.8em)',
          lineHeight: 1.6,
          whiteSpace: 'pre-wrap',
          overflowWrap: 'anywhere',
          m: 0,
          pl: 1.5,
          borderLeft: 3,
          borderColor: isRight ? 'desk.merit' : 'desk.fault',
        }}
      >
        {text}
      </Box>
    </Box>
  )
}
