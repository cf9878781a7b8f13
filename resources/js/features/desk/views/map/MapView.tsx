import {Box} from '@mui/material'
import {useDesk} from '../../deskState'
import {SideColumn} from '../../SideColumn'
import {SiteSheet} from '../SiteSheet'
import {MapOfSite} from './MapOfSite'

/** How the pages link, with the margin of the page that is chosen. */
export function MapView() {
  const {desk, leaf, turn, go} = useDesk()
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 18rem'}}>
      <SiteSheet name="Page map">
        <MapOfSite
          handIn={desk.id}
          leaf={leaf}
          onPage={turn}
          alone={`/hand-ins/${desk.id}/map?${new URLSearchParams({leaf}).toString()}`}
          onLink={(link, finding) =>
            go({leaf: link.from, view: 'source', line: link.line, mark: finding?.fingerprint ?? null})
          }
        />
      </SiteSheet>
      <SideColumn />
    </Box>
  )
}
