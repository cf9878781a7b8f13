import {Box, Typography} from '@mui/material'
import {useEffect, useRef, useState} from 'react'
import {seenPage} from '../../lib/seenPage'

/** The window that a page is drawn in before it is made small, in CSS pixels. */
const WINDOW = {width: 1100, height: 760}

/** A student's page, live and small, in the sandbox: it is looked at, and not used. */
export function LivePage({at, path, title}: {at: string; path: string; title: string}) {
  const box = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(0)
  useEffect(() => {
    if (box.current === null) return
    const watch = new ResizeObserver(([entry]) => setWidth(entry?.contentRect.width ?? 0))
    watch.observe(box.current)
    return () => watch.disconnect()
  }, [])
  const scale = width / WINDOW.width
  return (
    <Box component="figure" sx={{m: 0, minWidth: 0}}>
      <Box
        ref={box}
        sx={{
          border: 1,
          borderColor: 'divider',
          bgcolor: 'common.white',
          overflow: 'hidden',
          height: width === 0 ? '12rem' : WINDOW.height * scale,
        }}
      >
        {width > 0 && (
          <Box
            component="iframe"
            title={title}
            tabIndex={-1}
            sandbox="allow-scripts"
            referrerPolicy="no-referrer"
            src={seenPage(at, path)}
            style={{width: WINDOW.width, height: WINDOW.height, transform: `scale(${scale})`}}
            sx={{border: 0, display: 'block', transformOrigin: '0 0', pointerEvents: 'none'}}
          />
        )}
      </Box>
      <Typography component="figcaption" variant="body2" color="textSecondary" noWrap>
        {path}
      </Typography>
    </Box>
  )
}
