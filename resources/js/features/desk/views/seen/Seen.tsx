import {Box} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {useCallback, useEffect, useRef, useState} from 'react'
import {seen, type SiteOf} from '../../../../api/sites'
import {ErrorText} from '../../../../ui/Remark'
import {seenPage} from '../../../../lib/seenPage'
import {AS_IT_IS, type Manner, type Pointing} from './manner'
import {SeenBar} from './SeenBar'
import {useWidth} from './useWidth'

interface SeenProps {
  of: SiteOf
  leaf: string
  sheets: string[]
  onTurn: (leaf: string) => void
  /** a link was followed */
  onWalk?: (from: string, to: string) => void
  pointing?: Pointing
}

/** The live page in its sandbox. When a link in it is followed, the desk turns to that leaf. */
export function Seen({of, leaf, sheets, onTurn, onWalk, pointing}: SeenProps) {
  const [manner, setManner] = useState<Manner>(AS_IT_IS)
  const {data, error} = useQuery(seen(of, manner.scripts, manner.styles))
  // Known from the first look on, so that the choices stay while another is fetched.
  const given = useQuery(seen(of, AS_IT_IS.scripts, AS_IT_IS.styles)).data?.givenSheets ?? []
  const frame = useRef<HTMLIFrameElement>(null)
  const [room, measure] = useWidth()
  // The page the frame has turned to by itself: it must not be loaded anew for that.
  const [shown, setShown] = useState(leaf)
  const [start, setStart] = useState(leaf)
  if (leaf !== shown) {
    setShown(leaf)
    setStart(leaf)
  }
  const at = pointing?.at ?? null
  const onPoint = pointing?.onPoint
  const outlined = at ?? pointing?.outlined ?? null
  // The frame has no origin of its own to name; what it is told is no secret.
  const tell = useCallback(
    () => frame.current?.contentWindow?.postMessage({pointing: at !== null, at: outlined}, '*'),
    [at, outlined],
  )
  useEffect(() => {
    const hear = (event: MessageEvent<{page?: unknown; at?: unknown} | null>) => {
      if (event.source !== frame.current?.contentWindow) return
      const {page: told, at: pointed} = event.data ?? {}
      if (typeof pointed === 'string' && /^\d*(\.\d+)*$/.test(pointed)) onPoint?.(pointed)
      if (typeof told !== 'string') return
      const page = told === '' || told.endsWith('/') ? `${told}index.html` : told
      if (page !== shown) onWalk?.(shown, page)
      setShown(page)
      // Where it stands already, nothing is turned: what is chosen there stays.
      if (page !== leaf) onTurn(page)
    }
    addEventListener('message', hear)
    return () => removeEventListener('message', hear)
  }, [onTurn, onPoint, onWalk, shown, leaf])
  useEffect(tell, [tell])
  const scale = manner.width === null || room === 0 ? 1 : Math.min(1, room / manner.width)
  return (
    <Box sx={{display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0}}>
      <SeenBar manner={manner} sheets={sheets} given={given} onManner={setManner} pointing={pointing} />
      <ErrorText error={error} />
      <Box
        ref={measure}
        sx={{flex: 1, minHeight: 0, overflow: 'hidden', bgcolor: manner.width === null ? 'common.white' : 'desk.rule'}}
      >
        {data !== undefined && (
          <Box
            component="iframe"
            ref={frame}
            title={`${shown} as seen`}
            sandbox="allow-scripts"
            referrerPolicy="no-referrer"
            src={seenPage(data.url, start)}
            key={`${data.url} ${start}`}
            onLoad={tell}
            style={{width: manner.width ?? '100%', height: `${100 / scale}%`, transform: `scale(${scale})`}}
            sx={{border: 0, bgcolor: 'common.white', display: 'block', transformOrigin: '0 0'}}
          />
        )}
      </Box>
    </Box>
  )
}
