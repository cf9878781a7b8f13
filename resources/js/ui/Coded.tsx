import {Box} from '@mui/material'
import {mono} from './theme'

/** Code of fewer characters is not broken at its hyphens. */
const LONG = 24

/** Text with `code` between backticks, as all messages of the check are. */
export function Coded({children}: {children: string}) {
  const pieces = children.split(/`([^`\n]+)`/)
  return (
    <>
      {pieces.map((piece, index) =>
        index % 2 === 0 ? (
          piece
        ) : (
          <Box
            component="code"
            key={index}
            sx={{
              fontFamily: mono,
              fontSize: '0.94em',
              fontStyle: 'normal',
              overflowWrap: 'anywhere',
              whiteSpace: piece.length < LONG ? 'nowrap' : 'normal',
            }}
          >
            {piece}
          </Box>
        ),
      )}
    </>
  )
}
