import {Box} from '@mui/material'
import {useQuery, useQueryClient} from '@tanstack/react-query'
import {useCallback, useState} from 'react'
import {elementOn, placeOf} from '../../../../api/sites'
import {sheetsOf, useDesk} from '../../deskState'
import {Seen} from '../seen/Seen'
import {useWalking} from '../seen/walked'
import {SourceView} from '../source/SourceView'

/**
 * A page as a browser shows it and as it was written, side by side: what is chosen in the one is found in the other.
 */
export function BothView() {
  const {desk, leaf, line, turn, go} = useDesk()
  const isPage = desk.leaves.some(one => one.path === leaf && one.kind === 'page' && !one.missing)
  const queries = useQueryClient()
  const onWalk = useWalking(desk.id)
  const [isPointing, setPointing] = useState(false)
  const {data} = useQuery({...elementOn(desk.id, leaf, line ?? 1), enabled: isPage && line !== null})
  const outlined = line === null ? null : (data?.at ?? null)
  const [pointed, setPointed] = useState<string | null>(null)
  const onPoint = useCallback(
    (to: string | null) => {
      setPointing(to !== null)
      setPointed(to)
      if (to === null) return
      queries
        .query(placeOf(desk.id, leaf, to))
        .then(({line: at}) => go({line: at, mark: null}))
        // An element that a script made is not in the source.
        .catch(() => undefined)
    },
    [queries, desk.id, leaf, go],
  )
  if (!isPage) return <SourceView />
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: '36% minmax(0, 1fr)'}}>
      <Box sx={{borderRight: 1, borderColor: 'divider', minHeight: 0}}>
        <Seen
          of={{handIn: desk.id}}
          leaf={leaf}
          sheets={sheetsOf(desk)}
          onTurn={turn}
          onWalk={onWalk}
          pointing={{at: isPointing ? (pointed ?? outlined ?? '1') : null, outlined, onPoint}}
        />
      </Box>
      <SourceView marginWidth="16rem" />
    </Box>
  )
}
