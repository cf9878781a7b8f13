import {Box} from '@mui/material'
import {sheetsOf, useDesk} from '../../desk'
import {Seen} from '../seen/Seen'
import {SourceView} from '../source/SourceView'

/** A page as a browser shows it and as it was written, side by side. */
export function BothView() {
  const {desk, leaf, turn} = useDesk()
  const isPage = desk.leaves.some(one => one.path === leaf && one.kind === 'page' && !one.missing)
  if (!isPage) return <SourceView />
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: '36% minmax(0, 1fr)'}}>
      <Box sx={{borderRight: 1, borderColor: 'divider', minHeight: 0}}>
        <Seen of={{handIn: desk.id}} leaf={leaf} sheets={sheetsOf(desk)} onTurn={turn} />
      </Box>
      <SourceView marginWidth="16rem" />
    </Box>
  )
}
