import {Box, Link, Typography} from '@mui/material'
import {hour} from '../../../lib/when'
import {Kept} from './Kept'
import {KIND_WORDS, type MarginItem} from './marks'
import type {MarginActions} from './actions'

/** What the instructor wrote. */
export function Written({item, actions}: {item: Extract<MarginItem, {kind: 'note'}>; actions: MarginActions}) {
  const {note} = item
  return (
    <Box sx={{color: note.placed ? (note.kind === 'merit' ? 'desk.merit' : 'desk.ink') : 'desk.pencil'}}>
      <Box sx={{display: 'flex', gap: 1.5}}>
        <Typography variant="body2" sx={{flex: 1, fontWeight: 700}}>
          {KIND_WORDS[note.kind]}
          <Box component="span" sx={{fontWeight: 400}}>
            , kept at {hour(new Date(note.keptAt))}
          </Box>
        </Typography>
        <Link component="button" variant="body2" color="inherit" onClick={() => actions.edit(item)}>
          Change
        </Link>
        <Link component="button" variant="body2" color="inherit" onClick={() => actions.drop(note.id)}>
          Take out
        </Link>
        <Link
          component="button"
          variant="body2"
          color="inherit"
          title="Keep it as a stock remark"
          onClick={() => actions.stock(note.id)}
        >
          Stock
        </Link>
      </Box>
      <Typography
        variant="body1"
        component="div"
        dir="auto"
        sx={{
          fontSize: '0.9rem',
          lineHeight: 1.45,
          overflowWrap: 'anywhere',
          '& p': {m: 0},
          '& pre': {overflow: 'auto'},
          '& a': {color: 'inherit'},
        }}
        dangerouslySetInnerHTML={{__html: note.html}}
      />
      <Kept {...note} />
    </Box>
  )
}
