import {Box} from '@mui/material'
import {useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {placeOf} from '../../../../api/sites'
import {sheetsOf, useDesk} from '../../deskState'
import {SideColumn} from '../../SideColumn'
import {SourceView} from '../source/SourceView'
import {Looks} from './Looks'
import {Seen} from './Seen'
import {useWalking} from './walked'

/**
 * A page as a browser shows it, with the margin beside it, or with what an element of it looks like and why; a leaf
 * that is no page as it was written.
 */
export function SeenView() {
  const {desk, leaf, turn, go} = useDesk()
  const onWalk = useWalking(desk.id)
  const queries = useQueryClient()
  const [pointed, setPointed] = useState<{leaf: string; at: string | null}>({leaf, at: null})
  const isPage = desk.leaves.some(one => one.path === leaf && one.kind === 'page')
  if (!isPage) return <SourceView />
  // What was pointed at on another page is not on this one.
  const at = pointed.at === null || pointed.leaf === leaf ? pointed.at : '1'
  const onPoint = (to: string | null) => {
    setPointed({leaf, at: to})
    if (to === null) return
    // The line of what is pointed at is chosen in all views, and a note is written there.
    queries
      .query(placeOf(desk.id, leaf, to))
      .then(({line}) => go({line, mark: null}))
      // What a script made is in no source.
      .catch(() => undefined)
  }
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 22rem'}}>
      <Seen
        of={{handIn: desk.id}}
        leaf={leaf}
        sheets={sheetsOf(desk)}
        onTurn={turn}
        onWalk={onWalk}
        pointing={{at, onPoint}}
      />
      {at === null ? (
        <SideColumn />
      ) : (
        <Looks
          handIn={desk.id}
          leaf={leaf}
          at={at}
          onPoint={onPoint}
          onLine={(path, line) => go({leaf: path, view: 'source', line, mark: null})}
        />
      )}
    </Box>
  )
}
