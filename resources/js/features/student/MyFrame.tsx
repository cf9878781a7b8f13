import {Box, Link, Typography, useColorScheme} from '@mui/material'
import {useEffect, type ReactNode} from 'react'
import {Link as RouterLink} from 'react-router'

/** A student's page: as narrow as a telephone, and no wider than is good to read. */
export function MyFrame({title, home, children}: {title: string; home: string; children: ReactNode}) {
  const {mode, setMode} = useColorScheme()
  const lamp = mode === 'dark'
  useEffect(() => {
    document.title = `${title} · Inked Margin`
  }, [title])
  return (
    <Box sx={{height: '100%', overflow: 'auto', '@media print': {height: 'auto', overflow: 'visible'}}}>
      <Box sx={{maxWidth: 760, mx: 'auto', px: {xs: 2, sm: 4}, pb: 8}}>
        <Box
          component="header"
          className="not-printed"
          sx={{
            display: 'flex',
            alignItems: 'baseline',
            gap: 2,
            py: 1.5,
            borderBottom: 1,
            borderColor: 'divider',
            mb: 3,
          }}
        >
          <Typography variant="h3" component="span" sx={{flex: 1}}>
            <Link component={RouterLink} to={home}>
              My work
            </Link>
          </Typography>
          <Link component="button" variant="body2" onClick={() => setMode(lamp ? 'light' : 'dark')}>
            {lamp ? 'Light' : 'Dark'}
          </Link>
        </Box>
        <main>{children}</main>
      </Box>
    </Box>
  )
}
