import {Box, Link, Typography} from '@mui/material'
import {memo, useState, type FocusEvent, type KeyboardEvent, type MouseEvent} from 'react'
import {Link as RouterLink, useNavigate} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {requirementAt} from './address'
import {ROW, useRowsInTurn, useSight} from './rowsInTurn'
import {notJudged} from '../../lib/cost'
import {neighbour} from './neighbour'
import {totalOf, wordsFor, type Row, type RowOrder} from './order'

/** How wide the columns are. */
const SQUARE = 30
const NAMES = '16rem'

/**
 * Students down, requirements across. The squares of the rows in sight come first and the others after them: two
 * hundred students by forty requirements are more than a browser draws at once without a stutter. The arrow keys go
 * from square to square; to the Tab key they are one place.
 */
export function SheetTable({
  rows,
  columns,
  requirements,
  order,
  onOrder,
  scrolls,
}: {
  rows: Row[]
  columns: number[]
  requirements: Schemas['SheetRequirement'][]
  order: RowOrder
  onOrder: (order: RowOrder) => void
  scrolls: HTMLElement | null
}) {
  const navigate = useNavigate()
  const shown = useRowsInTurn(columns, rows.length, useSight(scrolls))
  const [at, setAt] = useState<{row: string; column: number} | null>(null)
  const current = rows.find(({studentId}) => studentId === at?.row) ?? rows.find(({handInId}) => handInId !== null)

  const open = (event: MouseEvent<HTMLElement>) => {
    const square = (event.target as Element).closest<HTMLAnchorElement>('a.square')
    const isPlain = event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey
    if (square === null || !isPlain) return
    event.preventDefault()
    void navigate(square.getAttribute('href') ?? '')
  }
  const move = (event: KeyboardEvent<HTMLElement>) => {
    const next = neighbour(event.target as Element, event.key)
    if (next === null) return
    event.preventDefault()
    next.focus()
  }
  const note = (event: FocusEvent<HTMLElement>) => {
    const cell = (event.target as Element).closest('td, th') as HTMLTableCellElement
    const row = cell.closest('tr')?.dataset.student
    if (row !== undefined) setAt({row, column: cell.cellIndex})
  }
  return (
    <Box component="table" role="grid" sx={SHEET}>
      <caption className="unseen">Students down, requirements across</caption>
      <Head columns={columns} requirements={requirements} order={order} onOrder={onOrder} />
      <tbody role="rowgroup" onClick={open} onKeyDown={move} onFocus={note}>
        {rows.map((row, nth) => (
          <Line
            key={row.studentId}
            row={row}
            columns={shown(nth)}
            requirements={requirements}
            stop={row !== current ? null : at?.row === row.studentId ? at.column : 0}
          />
        ))}
      </tbody>
    </Box>
  )
}

const Head = memo(function Head({
  columns,
  requirements,
  order,
  onOrder,
}: {
  columns: number[]
  requirements: Schemas['SheetRequirement'][]
  order: RowOrder
  onOrder: (order: RowOrder) => void
}) {
  const sorted = (by: RowOrder) => (order === by ? 'ascending' : undefined)
  return (
    <thead role="rowgroup">
      <tr role="row">
        <th role="columnheader" scope="col" aria-sort={sorted('name')}>
          <Link component="button" variant="body2" onClick={() => onOrder('name')}>
            Student
          </Link>
        </th>
        <th role="columnheader" scope="col" aria-sort={sorted('points')}>
          <Link component="button" variant="body2" onClick={() => onOrder('points')}>
            Points
          </Link>
        </th>
        {columns.map(at => (
          <th
            key={at}
            role="columnheader"
            scope="col"
            aria-sort={sorted(at)}
            className={requirements[at]?.leftOut === true ? 'across left-out' : 'across'}
          >
            <Link
              component="button"
              variant="body2"
              title={titleOf(requirements[at])}
              onClick={() => onOrder(order === at ? 'name' : at)}
            >
              {requirements[at]?.title}
            </Link>
          </th>
        ))}
      </tr>
      <tr role="row" className="all">
        <th role="rowheader" scope="row">
          <Typography variant="body2" component="span" color="textSecondary">
            The class, in percent
          </Typography>
        </th>
        <td role="gridcell">
          <Typography variant="body2" component="span" color="textSecondary">
            of {totalOf(requirements)}
          </Typography>
        </td>
        {columns.map(at => (
          <td key={at} role="gridcell">
            <Typography variant="body2" component="span" color="textSecondary">
              {requirements[at]?.share == null ? '' : `${Math.round(100 * requirements[at].share)}`}
            </Typography>
          </td>
        ))}
      </tr>
    </thead>
  )
})

/** A student's row: drawn anew when it is another one, and not when it stands elsewhere. */
const Line = memo(function Line({
  row,
  columns,
  requirements,
  stop,
}: {
  row: Row
  /** null before its turn */
  columns: number[] | null
  requirements: Schemas['SheetRequirement'][]
  /** the cell that the Tab key comes to; null in all rows but one */
  stop: number | null
}) {
  return (
    <tr role="row" data-student={row.studentId}>
      <th role="rowheader" scope="row" title={row.putBy ?? undefined}>
        {row.handInId === null ? (
          <Typography variant="body2" component="span" color="textSecondary">
            {row.student}
          </Typography>
        ) : (
          <Link component={RouterLink} variant="body2" to={`/hand-ins/${row.handInId}`} tabIndex={stop === 0 ? 0 : -1}>
            {row.student}
          </Link>
        )}{' '}
        <Typography variant="body2" component="span" sx={{color: 'desk.waits'}}>
          {stateOf(row)}
        </Typography>
      </th>
      <td role="gridcell">
        <Typography variant="body2" component="span">
          {row.awarded ?? ''}
          {row.open > 0 && (
            <Box component="span" title={`Provisional: ${notJudged(row.open)}`} sx={{color: 'desk.waits'}}>
              ?
            </Box>
          )}
        </Typography>
      </td>
      {columns?.map((at, nth) => (
        <Square key={at} row={row} at={at} requirement={requirements[at]} isStop={stop === nth + BEFORE} />
      ))}
    </tr>
  )
})

const titleOf = (one: Schemas['SheetRequirement'] | undefined): string =>
  one === undefined ? '' : one.leftOut ? `${one.title}: left out for the whole class` : one.title

/** Cells of a row before its squares. */
const BEFORE = 2

/** What is out of the ordinary with a student, in a word. */
const stateOf = ({handInId, late, putBy, extension}: Row): string =>
  handInId === null
    ? extension?.excused === true
      ? 'excused'
      : 'no hand-in'
    : [
        putBy === null ? '' : 'set aside',
        late ? 'late' : '',
        extension === null ? '' : extension.excused ? 'excused' : 'extension',
      ]
        .filter(one => one !== '')
        .join(', ')

/** An ink square, filled as far as the requirement is met. A click is the desk at that requirement. */
function Square({
  row,
  at,
  requirement,
  isStop,
}: {
  row: Row
  at: number
  requirement: Schemas['SheetRequirement'] | undefined
  isStop: boolean
}) {
  const cell = row.cells[at] ?? null
  if (row.handInId === null || cell === null || requirement === undefined) return <td role="gridcell" />
  const words = `${row.student}. ${wordsFor(cell, requirement)}`
  const filled =
    cell.share === null ? undefined : {backgroundSize: `100% ${100 * Math.min(1, Math.max(0, cell.share))}%`}
  return (
    <td role="gridcell">
      <a
        href={requirementAt(row.handInId, requirement.id)}
        className={cell.byHand ? 'square by-hand' : 'square'}
        style={filled}
        title={words}
        aria-label={words}
        tabIndex={isStop ? 0 : -1}
      >
        {cell.share === null ? '?' : null}
      </a>
    </td>
  )
}

const SHEET = {
  display: 'block',
  width: 'max-content',
  '& thead, & tbody': {display: 'block'},
  // Rows of boxes, as a table's own layout asks all rows when one changes; roles say what it is all the same.
  '& tr': {display: 'flex'},
  '& tbody tr': {height: ROW},
  '& th, & td': {
    flex: 'none',
    width: SQUARE,
    textAlign: 'center',
    p: 0,
    fontWeight: 400,
    height: ROW,
    lineHeight: `${ROW - 1}px`,
    boxSizing: 'border-box',
    borderBottom: 1,
    borderColor: 'desk.rule',
  },
  '& th:first-of-type': {
    width: NAMES,
    textAlign: 'left',
    pr: 2,
    whiteSpace: 'nowrap',
    pl: 4,
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    position: 'sticky',
    left: 0,
    bgcolor: 'desk.sheet',
    zIndex: 1,
  },
  '& td:nth-of-type(1), & thead th:nth-of-type(2)': {width: '4.5rem', textAlign: 'right', pr: 1.5},
  '& thead': {position: 'sticky', top: 0, zIndex: 2, bgcolor: 'desk.sheet'},
  '& thead tr:first-of-type th': {
    height: 'auto',
    pt: 1,
    display: 'flex',
    alignItems: 'flex-end',
    justifyContent: 'center',
    pb: 0.75,
    lineHeight: 1.4,
  },
  '& thead tr:first-of-type th:first-of-type': {justifyContent: 'flex-start'},
  '& thead tr:first-of-type th:nth-of-type(2)': {justifyContent: 'flex-end'},
  '& th.across button': {
    writingMode: 'vertical-rl',
    transform: 'rotate(180deg)',
    maxHeight: '11.5rem',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
    textAlign: 'left',
    lineHeight: 1.1,
  },
  '& th[aria-sort=ascending] button': {fontWeight: 700},
  '& th.left-out button': {textDecoration: 'line-through', color: 'text.secondary'},
  '& tbody tr:hover > *': {bgcolor: 'background.default'},
  '& .all td, & .all th': {borderBottom: 2, borderColor: 'desk.rule'},
  '& .square': {
    display: 'block',
    position: 'relative',
    boxSizing: 'border-box',
    width: 18,
    height: 18,
    mx: 'auto',
    mt: '4px',
    border: '1px solid',
    borderColor: 'desk.pencil',
    textDecoration: 'none',
    color: 'desk.waits',
    fontSize: 12,
    fontWeight: 700,
    lineHeight: '16px',
    '&:hover, &:focus-visible': {outline: '2px solid', outlineColor: 'desk.ink', outlineOffset: 1},
  },
  // A fill that is drawn with the square: layers of their own, thousands of them, are what made scrolling stutter.
  '& .square[style]': {
    background: 'linear-gradient(var(--ink), var(--ink)) no-repeat bottom',
    '--ink': 'color-mix(in srgb, var(--mui-palette-desk-ink) 55%, transparent)',
  },
  '& .square.by-hand': {'--ink': 'var(--mui-palette-desk-ink)'},
} as const
