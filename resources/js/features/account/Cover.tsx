import {Box, Typography} from '@mui/material'
import type {ReactNode} from 'react'

/** What stands before the desk: a sheet with its margin. */
export function Cover({children}: {children: ReactNode}) {
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100%',
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) 15rem',
        maxWidth: 860,
        mx: 'auto',
        pt: '16vh',
        px: 4,
      }}
    >
      <Box sx={{bgcolor: 'desk.sheet', borderRight: 1, borderColor: 'desk.fault', p: 6, height: 'fit-content'}}>
        <Typography variant="h1" gutterBottom>
          Inked Margin
        </Typography>
        {children}
      </Box>
      <Typography variant="body2" sx={{p: 3, pt: 7, fontStyle: 'italic', color: 'desk.ink'}}>
        What the machine finds, it pencils. What you ink, the student reads.
      </Typography>
    </Box>
  )
}
