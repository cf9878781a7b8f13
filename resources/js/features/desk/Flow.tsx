import {Box, Button, Link, NativeSelect, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {Link as RouterLink} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {desk as deskQuery} from '../../api/desk'
import {ErrorText} from '../../ui/Remark'
import {titleOf} from '../../lib/rules'
import {setReadingOrder, useReadingOrder, type Order} from '../../api/readingOrder'

const ORDERS: [Order['by'], string][] = [
  ['name', 'by name'],
  ['unread', 'unread'],
  ['points', 'fewest points first'],
]

/** Where this one stands in the class, in which order that is read, and whether it waits. */
export function Flow({desk, others, rule}: {desk: Schemas['Desk']; others: string[]; rule: string | null}) {
  const [asks, setAsks] = useState(false)
  return (
    <Box sx={{px: 2, borderTop: 1, borderColor: 'divider'}}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 1.5, minHeight: 28}}>
        <Typography variant="body2" color="textSecondary" noWrap>
          {desk.place}, <ReadingOrder handIn={desk.id} rule={rule} />
        </Typography>
        {desk.putBy === null && !asks && (
          <Link component="button" variant="body2" onClick={() => setAsks(true)}>
            Put by
          </Link>
        )}
        {desk.putBy !== null && <Waits desk={desk} />}
        <Attempts desk={desk} />
        <Box sx={{flex: 1}} />
        {others.length > 0 && (
          <Typography variant="body2" role="status" sx={{color: 'desk.waits'}} noWrap>
            {others.join(', ')} {others.length === 1 ? 'reads' : 'read'} this too
          </Typography>
        )}
      </Box>
      {asks && <PutBy desk={desk} onDone={() => setAsks(false)} />}
    </Box>
  )
}

/** The attempts of this student, and whether this one was late. */
function Attempts({desk}: {desk: Schemas['Desk']}) {
  if (desk.attempts.length < 2 && !desk.late) return null
  return (
    <Typography variant="body2" color="textSecondary" noWrap>
      {desk.attempts.length > 1 &&
        desk.attempts.map(one => (
          <Box key={one.id} component="span" sx={{mr: 1}}>
            {one.id === desk.id ? (
              <b>attempt {one.attempt}</b>
            ) : (
              <Link component={RouterLink} to={`/hand-ins/${one.id}`}>
                attempt {one.attempt}
              </Link>
            )}
          </Box>
        ))}
      {(desk.attempts.at(-1)?.attempt ?? 0) > desk.attempt && (
        <Box component="b" sx={{color: 'desk.waits', mr: 1}}>
          not the newest
        </Box>
      )}
      {desk.late && (
        <Box component="b" sx={{color: 'desk.waits'}}>
          late
        </Box>
      )}
    </Typography>
  )
}

function ReadingOrder({handIn, rule}: {handIn: string; rule: string | null}) {
  const order = useReadingOrder()
  const queries = useQueryClient()
  const with_ = order.rule ?? rule
  return (
    <NativeSelect
      value={order.rule === null ? order.by : 'rule'}
      onChange={({target: {value}}) => {
        const by = ORDERS.find(([one]) => one === value)?.[0]
        setReadingOrder(by === undefined ? {by: 'name', rule: with_} : {by, rule: null})
        void queries.invalidateQueries({queryKey: deskQuery(handIn).queryKey})
      }}
      inputProps={{'aria-label': 'the class is read'}}
      disableUnderline
      sx={{fontSize: 'inherit', verticalAlign: 'baseline', maxWidth: '15rem'}}
    >
      {ORDERS.map(([by, words]) => (
        <option key={by} value={by}>
          {words}
        </option>
      ))}
      {with_ !== null && <option value="rule">only with “{titleOf(with_)}”</option>}
    </NativeSelect>
  )
}

function Waits({desk}: {desk: Schemas['Desk']}) {
  const queries = useQueryClient()
  const takeUp = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/hand-ins/{handIn}/put-by', {params: {path: {handIn: desk.id}}})),
    onSuccess: () => queries.invalidateQueries({queryKey: deskQuery(desk.id).queryKey}),
  })
  return (
    <Typography variant="body2" sx={{color: 'desk.waits', minWidth: 0}} noWrap title={desk.putBy ?? ''}>
      Put by: {desk.putBy}{' '}
      <Link component="button" variant="body2" underline="always" onClick={() => takeUp.mutate()}>
        Take it up
      </Link>
      <ErrorText error={takeUp.error} />
    </Typography>
  )
}

function PutBy({desk, onDone}: {desk: Schemas['Desk']; onDone: () => void}) {
  const [why, setWhy] = useState('')
  const queries = useQueryClient()
  const putBy = useMutation({
    mutationFn: () =>
      unwrap(api.PUT('/api/hand-ins/{handIn}/put-by', {params: {path: {handIn: desk.id}}, body: {why}})),
    onSuccess: async () => {
      await queries.invalidateQueries({queryKey: deskQuery(desk.id).queryKey})
      onDone()
    },
  })
  return (
    <Box
      component="form"
      sx={{display: 'flex', gap: 1, alignItems: 'center', pb: 1}}
      onSubmit={event => {
        event.preventDefault()
        putBy.mutate()
      }}
      onKeyDown={event => {
        if (event.key === 'Escape') onDone()
      }}
    >
      <TextField
        label="Why it waits, in a word"
        value={why}
        autoFocus
        onChange={event => setWhy(event.target.value)}
        sx={{width: '22rem'}}
      />
      <Button type="submit" variant="contained" disabled={why.trim() === ''} loading={putBy.isPending}>
        Put by
      </Button>
      <Button onClick={onDone}>Leave</Button>
      <ErrorText error={putBy.error} />
    </Box>
  )
}
