import {Box, Button, Typography} from '@mui/material'
import {useEffect, useRef, useState} from 'react'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {useKeys} from '../../ui/keys'
import {SlipWords} from './Handout'

/** A lesson as it is shown on a wall: one slip at a time, large, and nothing around it. */
export function Projected({pages, onLeave}: {pages: Schemas['LessonPage'][]; onLeave: () => void}) {
  const [at, setAt] = useState(0)
  const place = useRef<HTMLDivElement>(null)
  const turn = (step: number) => setAt(old => Math.min(pages.length - 1, Math.max(0, old + step)))
  useEffect(() => {
    place.current?.focus()
  }, [])
  useEffect(() => {
    place.current?.scrollTo(0, 0)
  }, [at])
  useKeys([
    {key: 'ArrowRight', does: 'next', run: () => turn(1)},
    {key: 'ArrowLeft', does: 'back', run: () => turn(-1)},
    {key: 'Escape', does: 'leave', run: onLeave},
  ])
  const page = pages[at]
  if (page === undefined) return null
  return (
    <Box
      component="main"
      ref={place}
      tabIndex={-1}
      sx={{
        height: '100%',
        overflow: 'auto',
        bgcolor: 'desk.sheet',
        px: '6vw',
        pt: '4vh',
        pb: '10vh',
        outline: 'none',
        fontSize: '1.6rem',
        '& .MuiTypography-body1, & .MuiTypography-h3': {fontSize: '1em'},
        '& .MuiTypography-body2': {fontSize: '0.7em'},
        '& pre': {fontSize: '0.9em !important'},
      }}
    >
      <Typography variant="h1" sx={{fontSize: '2.4rem'}}>
        <Coded>{page.title}</Coded>
      </Typography>
      <Box sx={{columns: {md: 2}, columnGap: '4vw'}}>
        <SlipWords page={page} />
      </Box>
      <Box
        className="not-printed"
        sx={{position: 'fixed', right: 24, bottom: 16, display: 'flex', alignItems: 'center', gap: 1}}
      >
        <Typography variant="body2" color="textSecondary" role="status">
          {at + 1} of {pages.length}
        </Typography>
        <Button disabled={at === 0} onClick={() => turn(-1)}>
          Back
        </Button>
        <Button disabled={at === pages.length - 1} onClick={() => turn(1)}>
          Next
        </Button>
        <Button onClick={onLeave}>Leave</Button>
      </Box>
    </Box>
  )
}
