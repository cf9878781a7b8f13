import {Box} from '@mui/material'
import {cost} from '../lib/cost'

/** What something costs, in front of its words or behind them; nothing where it is free. */
export const CostTag = ({points, ...margin}: {points: number; ml?: number; mr?: number}) =>
  points > 0 && (
    <Box component="span" title="What it costs" sx={{color: 'desk.fault', fontWeight: 700, ...margin}}>
      {cost(points)}
    </Box>
  )
