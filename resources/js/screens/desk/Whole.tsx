import {Typography} from '@mui/material'
import type {Schemas} from '../../api/client'
import {RunState} from '../../parts/RunState'
import {many} from '../../parts/when'

/** The hand-in as a whole: how much was found, and how much of it is decided. */
export function Whole({desk}: {desk: Schemas['Desk']}) {
  const sum = (count: (one: Schemas['LeafTally']) => number) => desk.tallies.reduce((all, one) => all + count(one), 0)
  const decided = sum(({inked, rubbedOut}) => inked + rubbedOut)
  const found = decided + sum(({pencilled}) => pencilled)
  return (
    <>
      <Typography variant="h1" gutterBottom>
        {desk.student}
      </Typography>
      <RunState run={desk.run}>
        <Typography variant="body1">
          {found === 0
            ? 'The check found nothing on any page. A word of praise may be due: press m.'
            : `${many(found, 'finding')} on ${desk.tallies.length === 1 ? '1 leaf' : `${desk.tallies.length} leaves`}, ${decided} of them decided. Press n to go through them.`}
        </Typography>
      </RunState>
    </>
  )
}
