import {
  Box,
  Dialog,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  LinearProgress,
  Link,
  Switch,
  Typography,
  useColorScheme,
} from '@mui/material'
import {useIsFetching, useIsMutating, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {lazy, Suspense, useEffect, useState, type ReactNode} from 'react'
import {Link as RouterLink, useNavigate} from 'react-router'
import {api, unwrap} from '../../api/client'
import {me} from '../../api/account'
import {forgetDrafts} from '../../lib/draftPlace'
import {useAnySending} from '../../api/sending'
import {useKeyboard, useKeys} from '../../ui/keys'

/** It weighs as much as a screen, and nobody needs it to begin with. */
const SearchBox = lazy(async () => ({default: (await import('./SearchBox')).SearchBox}))

export interface Step {
  name: string
  to?: string
}

/** The running head over a screen, the paper, and the foot line with the keys that work here. */
export function Frame({
  steps,
  children,
  foot,
  wide = false,
}: {
  steps: Step[]
  children: ReactNode
  foot?: ReactNode
  wide?: boolean
}) {
  const title = steps.at(-1)?.name
  useEffect(() => {
    document.title = title === undefined ? 'Inked Margin' : `${title} · Inked Margin`
  }, [title])
  return (
    <Box
      sx={{
        height: '100%',
        display: 'flex',
        flexDirection: 'column',
        '@media print': {display: 'block', height: 'auto'},
      }}
    >
      <RunningHead steps={steps} />
      <Box
        component="main"
        sx={
          wide
            ? {flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column'}
            : {flex: 1, overflow: 'auto', '@media print': {overflow: 'visible'}}
        }
      >
        {wide ? children : <Box sx={{maxWidth: 1040, mx: 'auto', px: 4, py: 4}}>{children}</Box>}
      </Box>
      <FootLine>{foot}</FootLine>
    </Box>
  )
}

function RunningHead({steps}: {steps: Step[]}) {
  const {data} = useSuspenseQuery(me)
  const {mode, setMode} = useColorScheme()
  const navigate = useNavigate()
  const queries = useQueryClient()
  const leave = async () => {
    await unwrap(api.POST('/api/log-out'))
    queries.clear()
    forgetDrafts()
    await navigate('/log-in')
  }
  const lamp = mode === 'dark'
  return (
    <Box
      component="header"
      className="not-printed"
      sx={{display: 'flex', alignItems: 'baseline', gap: 3, px: 4, py: 1, borderBottom: 1, borderColor: 'divider'}}
    >
      <Box
        component="nav"
        aria-label="Where you are"
        sx={{flex: 1, minWidth: 0, whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis'}}
      >
        <Typography variant="h3" component="span">
          <Link component={RouterLink} to="/">
            Inked Margin
          </Link>
        </Typography>
        {steps.map(({name, to}) => (
          <Typography variant="body2" component="span" key={name} color="textSecondary">
            <Box component="span" aria-hidden sx={{mx: 1}}>
              —
            </Box>
            {to === undefined ? (
              <span aria-current="page">{name}</span>
            ) : (
              <Link component={RouterLink} to={to}>
                {name}
              </Link>
            )}
          </Typography>
        ))}
      </Box>
      <Suspense fallback={<Box sx={{width: {xs: '8rem', lg: '13rem'}}} />}>
        <SearchBox />
      </Suspense>
      <Link component={RouterLink} to="/me" variant="body2" color="textSecondary">
        {data.name}
      </Link>
      <Link component="button" variant="body2" onClick={() => setMode(lamp ? 'light' : 'dark')}>
        {lamp ? 'Daylight' : 'Lamp'}
      </Link>
      <Link component="button" variant="body2" onClick={() => void leave()}>
        Log out
      </Link>
    </Box>
  )
}

function FootLine({children}: {children?: ReactNode}) {
  const {keys, isOn, turn} = useKeyboard()
  const [listed, setListed] = useState(false)
  const isSending = useAnySending()
  const fetching = useIsFetching() + useIsMutating() > 0
  useKeys([{key: '?', does: 'all keys', run: () => setListed(true)}])
  // What works on every screen comes after what works on this one.
  const own = [...keys.filter(({key}) => key !== '?' && key !== '/'), ...keys.filter(({key}) => key === '/')]
  return (
    <Box
      component="footer"
      className="not-printed"
      sx={{
        position: 'relative',
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 4,
        minHeight: 34,
        borderTop: 1,
        borderColor: 'divider',
        overflow: 'hidden',
        whiteSpace: 'nowrap',
      }}
    >
      {fetching && (
        <LinearProgress aria-label="Asking the server" sx={{position: 'absolute', inset: '0 0 auto 0', height: 2}} />
      )}
      {isOn && own.slice(0, 8).map(({key, does}) => <KeyName key={key} name={key} does={does} />)}
      <Link component="button" variant="body2" underline="hover" color="inherit" onClick={() => setListed(true)}>
        {isOn ? <KeyName name="?" does="all keys" /> : 'Keys are off'}
      </Link>
      <Box sx={{flex: 1}} />
      <Typography variant="body2" component="div" color="textSecondary" role="status">
        {isSending && 'Hand-ins are on their way; keep this tab open. '}
        {children}
      </Typography>
      <Dialog open={listed} onClose={() => setListed(false)} aria-labelledby="keys-title">
        <DialogTitle id="keys-title">Keys that work here</DialogTitle>
        <DialogContent sx={{display: 'grid', gap: 1, minWidth: 320}}>
          {own.length === 0 && <Typography variant="body2">None on this screen but Tab and Enter.</Typography>}
          {own.map(({key, does}) => (
            <KeyName key={key} name={key} does={does} />
          ))}
          <FormControlLabel
            sx={{mt: 2}}
            control={<Switch checked={isOn} onChange={event => turn(event.target.checked)} />}
            label="Single keys work"
          />
        </DialogContent>
      </Dialog>
    </Box>
  )
}

function KeyName({name, does}: {name: string; does: string}) {
  return (
    <Typography variant="body2" component="span" color="textSecondary">
      <Box component="kbd" sx={{fontFamily: 'inherit', fontWeight: 700, color: 'text.primary', mr: 0.75}}>
        {name}
      </Box>
      {does}
    </Typography>
  )
}
