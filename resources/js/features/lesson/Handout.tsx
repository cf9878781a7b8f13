import {Box, Typography} from '@mui/material'
import type {ReactNode} from 'react'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {Quoted} from '../../ui/Quoted'
import {many} from '../../lib/when'
import {WrongAndRight} from '../../ui/WrongAndRight'

/** One slip on a page: what was written, why it matters, how it should be. */
export function Handout({page}: {page: Schemas['LessonPage']}) {
  return (
    <Box
      component="article"
      sx={{
        bgcolor: 'desk.sheet',
        border: 1,
        borderColor: 'divider',
        px: 5,
        py: 4,
        mb: 3,
        maxWidth: 780,
        '@media print': {border: 0, p: 0, breakAfter: 'page', maxWidth: 'none'},
      }}
    >
      <Typography variant="h2" sx={{fontSize: '1.45rem'}}>
        <Coded>{page.title}</Coded>
      </Typography>
      <Typography variant="body2" color="textSecondary">
        In {many(page.handIns, 'hand-in')} of this class
      </Typography>
      <SlipWords page={page} />
    </Box>
  )
}

/** The parts of a handout; on the wall they are as large as all else there. */
export function SlipWords({page}: {page: Schemas['LessonPage']}) {
  return (
    <>
      <Part title="What was written">
        {page.written.map((quote, at) => (
          <Box key={at} sx={{mb: 1.5}}>
            <Typography variant="body2" color="textSecondary">
              {quote.file}
            </Typography>
            <Quoted lines={quote.lines} />
          </Box>
        ))}
        <Typography variant="body1">
          <Coded>{page.message}</Coded>
        </Typography>
      </Part>
      <Part title="Why it matters">
        <Typography variant="body1">
          <Coded>{page.why}</Coded>
        </Typography>
      </Part>
      <Part title="How it should be">
        <Typography variant="body1" sx={{color: 'desk.ink'}}>
          <Coded>{page.remedy}</Coded>
        </Typography>
      </Part>
      <Part title="An example">
        <WrongAndRight bad={page.bad} good={page.good} />
        <Typography variant="body2" color="textSecondary" sx={{mt: 1}}>
          Source: {page.source}
        </Typography>
      </Part>
    </>
  )
}

function Part({title, children}: {title: string; children: ReactNode}) {
  return (
    <Box component="section" sx={{breakInside: 'avoid', pt: 2.5}}>
      <Typography variant="h3" sx={{mb: 0.5}}>
        {title}
      </Typography>
      {children}
    </Box>
  )
}
