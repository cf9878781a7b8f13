import {Box} from '@mui/material'
import {useRef} from 'react'
import {useDesk} from './deskState'
import {isAll} from './margin/filter'
import {FilterBar} from './margin/FilterBar'
import {Margin} from './margin/Margin'
import {Points} from './Points'

/** Points and margin beside a view that has no lines of its own. */
export function SideColumn() {
  const {margin, mode, current, actions, keeping} = useDesk()
  const {gathered} = margin
  const {filter, asksAlike} = mode
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
      <Points />
      <Box ref={scroller} sx={{flex: 1, overflow: 'auto', position: 'relative'}}>
        <FilterBar />
        <Margin
          gathered={gathered}
          current={current}
          asksAlike={asksAlike}
          isFiltered={!isAll(filter)}
          actions={actions}
          keeping={keeping}
          scroller={scroller}
        />
      </Box>
    </Box>
  )
}
