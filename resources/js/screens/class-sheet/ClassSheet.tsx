import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {memo, useMemo, useState} from 'react'
import {Link as RouterLink, useParams} from 'react-router'
import type {Schemas} from '../../api/client'
import {classSheet} from '../../api/queries'
import {Frame} from '../../parts/Frame'
import {GroupChoice, groupsOf} from '../../parts/GroupChoice'
import {useKeys} from '../../parts/keys'
import {Empty} from '../../parts/Remark'
import {many} from '../../parts/when'
import {Screen} from '../Screen'
import {columnsInOrder, inOrder, wordsFor, type Row, type RowOrder} from './order'
import {requirementAt} from './address'
import {ReleaseAll} from './ReleaseAll'
import {Slips} from './Slips'

export const ClassSheet = () => (
  <Screen>
    <SheetScreen />
  </Screen>
)

function SheetScreen() {
  const {id = ''} = useParams()
  const {data} = useSuspenseQuery(classSheet(id))
  const [order, setOrder] = useState<RowOrder>('name')
  const [byShare, setByShare] = useState(false)
  const [group, setGroup] = useState('')
  const groups = useMemo(() => groupsOf(data.rows), [data])
  const rows = useMemo(
    () =>
      inOrder(
        data.rows.filter(one => group === '' || one.group === group),
        order,
      ),
    [data, group, order],
  )
  const columns = useMemo(() => columnsInOrder(data.requirements, byShare), [data, byShare])
  useKeys([
    {
      key: 'o',
      does: order === 'points' ? 'by name' : 'by points',
      run: () => setOrder(order === 'points' ? 'name' : 'points'),
    },
    {key: 'c', does: byShare ? 'columns as in the brief' : 'least met first', run: () => setByShare(!byShare)},
  ])
  return (
    <Frame
      steps={[
        {name: data.course, to: `/courses/${data.courseId}`},
        {name: data.assignment, to: `/assignments/${id}`},
        {name: 'Class sheet'},
      ]}
      wide
    >
      <Box sx={{flex: 1, minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 24rem'}}>
        <Box
          sx={{overflow: 'auto', py: 2.5, bgcolor: 'desk.sheet'}}
          tabIndex={0}
          role="region"
          aria-label="Class sheet"
        >
          <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 1, px: 4}}>
            <Typography variant="h1" sx={{fontSize: '1.5rem'}}>
              Class sheet
            </Typography>
            <Typography variant="body2" color="textSecondary" sx={{flex: 1}}>
              {inShort(data.rows)}
            </Typography>
            <Typography variant="body2" color="textSecondary">
              <Box component="span" sx={{mr: groups.length > 0 ? 2 : 0}}>
                <GroupChoice groups={groups} value={group} onChange={setGroup} />
              </Box>
              <Link component="button" variant="body2" aria-pressed={byShare} onClick={() => setByShare(!byShare)}>
                {byShare ? 'Columns as in the brief' : 'What is least met first'}
              </Link>
            </Typography>
            <ReleaseAll assignmentId={id} />
          </Box>
          {data.requirements.length === 0 ? (
            <Box sx={{px: 4}}>
              <Empty>Nothing has been checked yet. Once hand-ins are, every requirement has a column here.</Empty>
            </Box>
          ) : (
            <Table rows={rows} columns={columns} requirements={data.requirements} order={order} onOrder={setOrder} />
          )}
        </Box>
        <Slips assignmentId={id} sheet={data} />
      </Box>
    </Frame>
  )
}

/** How many have handed in, and who has not. */
function inShort(rows: Row[]): string {
  const missing = rows.filter(one => one.handInId === null).length
  const late = rows.filter(one => one.late).length
  const replied = rows.filter(one => one.replied).length
  return [
    `${rows.length - missing} of ${many(rows.length, 'student')} handed in`,
    late > 0 ? `${late} late` : '',
    replied > 0 ? `${many(replied, 'reply', 'replies')} released` : '',
  ]
    .filter(words => words !== '')
    .join(', ')
}

function Table({
  rows,
  columns,
  requirements,
  order,
  onOrder,
}: {
  rows: Row[]
  columns: number[]
  requirements: Schemas['SheetRequirement'][]
  order: RowOrder
  onOrder: (order: RowOrder) => void
}) {
  const sorted = (by: RowOrder) => (order === by ? 'ascending' : undefined)
  return (
    <Box component="table" sx={SHEET}>
      <caption className="unseen">Students down, requirements across</caption>
      <thead>
        <tr>
          <th scope="col" aria-sort={sorted('name')}>
            <Link component="button" variant="body2" onClick={() => onOrder('name')}>
              Student
            </Link>
          </th>
          <th scope="col" aria-sort={sorted('points')}>
            <Link component="button" variant="body2" onClick={() => onOrder('points')}>
              Points
            </Link>
          </th>
          {columns.map(at => (
            <th key={at} scope="col" aria-sort={sorted(at)} className="across">
              <Link
                component="button"
                variant="body2"
                title={requirements[at]?.title}
                onClick={() => onOrder(order === at ? 'name' : at)}
              >
                {requirements[at]?.title}
              </Link>
            </th>
          ))}
        </tr>
        <tr className="all">
          <th scope="row">
            <Typography variant="body2" component="span" color="textSecondary">
              The class, in percent
            </Typography>
          </th>
          <td />
          {columns.map(at => (
            <td key={at}>
              <Typography variant="body2" component="span" color="textSecondary">
                {requirements[at]?.share == null ? '' : `${Math.round(100 * requirements[at].share)}`}
              </Typography>
            </td>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(row => (
          <Line key={row.studentId} row={row} columns={columns} requirements={requirements} />
        ))}
      </tbody>
    </Box>
  )
}

/** A student's row: drawn anew when it is another one, and not when it stands elsewhere. */
const Line = memo(function Line({
  row,
  columns,
  requirements,
}: {
  row: Row
  columns: number[]
  requirements: Schemas['SheetRequirement'][]
}) {
  return (
    <tr>
      <th scope="row">
        {row.handInId === null ? (
          <Typography variant="body2" component="span" color="textSecondary">
            {row.student}
          </Typography>
        ) : (
          <Link component={RouterLink} variant="body2" to={`/hand-ins/${row.handInId}`}>
            {row.student}
          </Link>
        )}{' '}
        <Typography variant="body2" component="span" sx={{color: 'desk.waits'}} title={row.putBy ?? undefined}>
          {stateOf(row)}
        </Typography>
      </th>
      <td>
        <Typography variant="body2" component="span">
          {row.awarded ?? ''}
        </Typography>
      </td>
      {columns.map(at => {
        const requirement = requirements[at]
        return requirement === undefined ? null : (
          <td key={at}>
            <Square row={row} cell={row.cells[at] ?? null} requirement={requirement} />
          </td>
        )
      })}
    </tr>
  )
})

/** What is out of the ordinary with a student, in a word. */
const stateOf = ({handInId, late, putBy}: Row): string =>
  handInId === null
    ? 'nothing came'
    : [putBy === null ? '' : 'put by', late ? 'late' : ''].filter(one => one !== '').join(', ')

/** An ink square, filled as far as the requirement is met. A click is the desk at that requirement. */
function Square({
  row,
  cell,
  requirement,
}: {
  row: Row
  cell: Schemas['SheetCell'] | null
  requirement: Schemas['SheetRequirement']
}) {
  const words = wordsFor(cell, requirement)
  if (row.handInId === null || cell === null) return null
  return (
    <RouterLink
      to={requirementAt(row.handInId, requirement.id)}
      className="square"
      title={`${row.student}. ${words}`}
      aria-label={`${row.student}. ${words}`}
    >
      {cell.share === null ? (
        <span className="open">?</span>
      ) : (
        <span
          className={cell.byHand ? 'ink by-hand' : 'ink'}
          style={{height: `${100 * Math.min(1, Math.max(0, cell.share))}%`}}
        />
      )}
    </RouterLink>
  )
}

const SHEET = {
  borderCollapse: 'collapse',
  '& th, & td': {textAlign: 'center', p: 0, fontWeight: 400, height: 27, borderBottom: 1, borderColor: 'desk.rule'},
  '& th[scope=row]': {
    textAlign: 'left',
    pr: 2,
    minWidth: '13rem',
    whiteSpace: 'nowrap',
    position: 'sticky',
    left: 0,
    pl: 4,
    bgcolor: 'desk.sheet',
    zIndex: 1,
  },
  '& td:nth-of-type(1)': {textAlign: 'right', pr: 1.5},
  '& thead th': {verticalAlign: 'bottom', pb: 0.75},
  '& thead th:first-of-type': {textAlign: 'left', pl: 4},
  '& thead th:nth-of-type(2)': {pr: 1.5, textAlign: 'right'},
  '& th.across': {width: 30, maxWidth: 30},
  '& th.across button': {
    writingMode: 'vertical-rl',
    transform: 'rotate(180deg)',
    maxHeight: '13rem',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
    whiteSpace: 'nowrap',
    textAlign: 'left',
    lineHeight: 1.1,
  },
  '& th[aria-sort=ascending] button': {fontWeight: 700},
  '& .all td, & .all th': {borderBottom: 2, borderColor: 'desk.rule'},
  // What is not seen is not drawn.
  '& tbody tr': {contentVisibility: 'auto', containIntrinsicSize: '27px'},
  '& .square': {
    display: 'inline-flex',
    alignItems: 'flex-end',
    justifyContent: 'center',
    width: 18,
    height: 18,
    border: '1px solid',
    borderColor: 'desk.pencil',
    verticalAlign: 'middle',
    textDecoration: 'none',
    color: 'desk.waits',
    '&:hover': {outline: '2px solid', outlineColor: 'desk.ink', outlineOffset: 1},
  },
  '& .ink': {display: 'block', width: '100%', bgcolor: 'desk.ink', opacity: 0.55},
  '& .ink.by-hand': {opacity: 1},
  '& .open': {alignSelf: 'center', fontSize: 12, fontWeight: 700, lineHeight: 1},
} as const
