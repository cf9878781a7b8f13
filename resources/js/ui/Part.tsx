import {Box, Typography} from '@mui/material'
import type {ReactNode} from 'react'

/** A part of a page of settings, ruled off from the one above. */
export function Part({title, name = title, children}: {title: string; name?: string; children: ReactNode}) {
  return (
    <Box component="section" aria-label={name} sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 4}}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      {children}
    </Box>
  )
}
