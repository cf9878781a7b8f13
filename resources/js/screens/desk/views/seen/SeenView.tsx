import {Box} from '@mui/material'
import {useDesk} from '../../desk'
import {SideColumn} from '../../SideColumn'
import {SourceView} from '../source/SourceView'
import {Seen} from './Seen'

/** A page as a browser shows it, with the margin beside it; a leaf that is no page as it was written. */
export function SeenView() {
  const {desk, leaf, turn} = useDesk()
  const isPage = desk.leaves.some(one => one.path === leaf && one.kind === 'page' && !one.missing)
  if (!isPage) return <SourceView />
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 22rem'}}>
      <Seen handIn={desk.id} leaf={leaf} onTurn={turn} />
      <SideColumn />
    </Box>
  )
}
