import {Box, FormControlLabel, Switch, Typography} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {useEffect, useRef, useState} from 'react'
import {seen} from '../../../../api/queries'
import {ErrorText} from '../../../../parts/Remark'

/** The live page in its sandbox. When a link in it is followed, the desk turns to that leaf. */
export function Seen({handIn, leaf, onTurn}: {handIn: string; leaf: string; onTurn: (leaf: string) => void}) {
  const [scripts, setScripts] = useState(false)
  const {data, error} = useQuery(seen(handIn, scripts))
  const frame = useRef<HTMLIFrameElement>(null)
  // The page the frame has turned to by itself: it must not be loaded anew for that.
  const [shown, setShown] = useState(leaf)
  const [start, setStart] = useState(leaf)
  if (leaf !== shown) {
    setShown(leaf)
    setStart(leaf)
  }
  useEffect(() => {
    const hear = (event: MessageEvent<{page?: unknown} | null>) => {
      if (event.source !== frame.current?.contentWindow) return
      const told = event.data?.page
      if (typeof told !== 'string') return
      const page = told === '' || told.endsWith('/') ? `${told}index.html` : told
      setShown(page)
      onTurn(page)
    }
    addEventListener('message', hear)
    return () => removeEventListener('message', hear)
  }, [onTurn])
  return (
    <Box sx={{display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0}}>
      <Box sx={{display: 'flex', alignItems: 'center', gap: 2, px: 2, borderBottom: 1, borderColor: 'divider'}}>
        <Typography variant="body2" color="textSecondary" sx={{flex: 1}}>
          {shown}
        </Typography>
        <FormControlLabel
          label={<Typography variant="body2">Run the student’s scripts</Typography>}
          control={<Switch size="small" checked={scripts} onChange={event => setScripts(event.target.checked)} />}
        />
      </Box>
      <ErrorText error={error} />
      {data !== undefined && (
        <Box
          component="iframe"
          ref={frame}
          title={`${shown} as seen`}
          sandbox="allow-scripts"
          referrerPolicy="no-referrer"
          src={data.url + start.split('/').map(encodeURIComponent).join('/')}
          key={`${data.url} ${start}`}
          sx={{border: 0, flex: 1, bgcolor: 'common.white'}}
        />
      )}
    </Box>
  )
}
