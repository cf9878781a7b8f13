import {Box, Link, Typography} from '@mui/material'
import {memo} from 'react'
import {many} from '../../../lib/when'
import {Found} from './Found'
import {linesOf, type Gathered} from './gather'
import type {MarginActions} from './actions'
import {Written} from './Written'

interface Props {
  gathered: Gathered
  current: boolean
  /** whether all that are like it are asked about */
  asksAlike: boolean
  actions: MarginActions
}

/** Drawn anew only when it is itself another one: a verdict on one of thousands redraws one. */
export const Sidenote = memo(function Sidenote({gathered: {item, more, alike}, current, asksAlike, actions}: Props) {
  return (
    <Box
      onClick={() => actions.choose(item.key)}
      sx={{
        display: 'grid',
        gridTemplateColumns: '1.1rem 1fr',
        gap: 0.75,
        ml: -1,
        pl: '6px',
        borderLeft: '2px solid',
        borderColor: current ? 'desk.ink' : 'transparent',
      }}
    >
      <Typography variant="body2" component="span" sx={{color: 'desk.pencil', textAlign: 'right', fontSize: '0.8em'}}>
        {item.numeral}
      </Typography>
      <div>
        {item.kind === 'finding' && (
          <Found finding={item.finding} current={current} asksAlike={asksAlike} actions={actions} />
        )}
        {item.kind === 'note' && <Written item={item} actions={actions} />}
        {more.length > 0 && (
          <Typography variant="body2" sx={{color: 'text.secondary'}}>
            {alike === 'kind'
              ? `${more.length} more like it, ${linesOf(more)}. `
              : `${many(more.length, 'more', 'more')} on this line. `}
            <Link component="button" underline="always" onClick={() => actions.open(item.key)}>
              Show each
            </Link>
          </Typography>
        )}
      </div>
    </Box>
  )
}, isSameNote)

function isSameNote(before: Props, after: Props): boolean {
  const content = ({item}: Gathered) =>
    item.kind === 'finding' ? item.finding : item.kind === 'note' ? item.note : item.draft
  return (
    before.current === after.current &&
    before.asksAlike === after.asksAlike &&
    before.gathered.item.numeral === after.gathered.item.numeral &&
    before.gathered.more.length === after.gathered.more.length &&
    before.gathered.alike === after.gathered.alike &&
    content(before.gathered) === content(after.gathered)
  )
}
