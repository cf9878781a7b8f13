import {Box} from '@mui/material'
import {useRef} from 'react'
import {useDesk} from './desk'
import {Margin} from './margin/Margin'
import {Points} from './Points'

/** Points and margin beside a view that has no lines of its own. */
export function SideColumn() {
  const {desk, items, current, actions, keeping} = useDesk()
  const scroller = useRef<HTMLDivElement>(null)
  return (
    <Box
      sx={{
        display: 'flex',
        flexDirection: 'column',
        minHeight: 0,
        borderLeft: 1,
        borderColor: 'divider',
        bgcolor: 'desk.sheet',
      }}
    >
      <Points handIn={desk.id} outcomes={desk.outcomes} score={desk.score} />
      <Box ref={scroller} sx={{flex: 1, overflow: 'auto', position: 'relative'}}>
        <Margin items={items} current={current} actions={actions} keeping={keeping} scroller={scroller} />
      </Box>
    </Box>
  )
}
