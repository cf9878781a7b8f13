import {Box} from '@mui/material'
import type {ReactNode} from 'react'

/** The paper of a view of the whole site, which scrolls by itself. */
export const SiteSheet = ({name, children}: {name: string; children: ReactNode}) => (
  <Box
    tabIndex={0}
    role="region"
    aria-label={name}
    sx={{height: '100%', minHeight: 0, overflow: 'auto', bgcolor: 'desk.sheet'}}
  >
    {children}
  </Box>
)
