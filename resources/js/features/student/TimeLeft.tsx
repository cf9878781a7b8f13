import {Typography} from '@mui/material'
import {useEffect, useRef, useState} from 'react'
import type {Schemas} from '../../lib/schemas'
import {hour, whenIn} from '../../lib/when'
import {timeLeft} from './dueWords'

/**
 * The due time in the reader's zone, and how much of it is left by the server's clock. Another answer is another clock.
 */
export function TimeLeft({work, onOver}: {work: Schemas['MyAssignment']; onOver: () => void}) {
  const {dueAt, lateFrom, now, late, mostAttempts, attempts} = work
  // The clock of a telephone may be wrong: only what has passed since the answer is taken from it.
  const [passed, setPassed] = useState(0)
  const over = useRef(onOver)
  useEffect(() => {
    over.current = onOver
  })
  useEffect(() => {
    const from = Date.now()
    const timer = setInterval(() => setPassed(Date.now() - from), 15_000)
    return () => clearInterval(timer)
  }, [])
  const left = dueAt === null ? null : Date.parse(dueAt) - Date.parse(now) - passed
  const isOver = lateFrom !== null && Date.parse(lateFrom) - Date.parse(now) - passed <= 0
  useEffect(() => {
    if (isOver && !late) over.current()
  }, [isOver, late])
  const most = mostAttempts === null ? '' : ` ${attempts.length} of ${mostAttempts} attempts used.`
  if (dueAt === null || left === null) return <Typography variant="body1">There is no due time.{most}</Typography>
  return (
    <Typography variant="body1" role="timer" sx={{fontWeight: 600, color: left <= 0 ? 'desk.waits' : undefined}}>
      Due {whenIn(dueAt, work.timeZone)}:{' '}
      {left <= 0
        ? isOver
          ? 'the time is over.'
          : 'the time is over, but you may still hand in.'
        : `${timeLeft(left)} left.`}
      {most}{' '}
      <Typography variant="body2" component="span" color="textSecondary">
        It is {hour(new Date(Date.parse(now) + passed))} by the server’s clock.
      </Typography>
    </Typography>
  )
}
