import {Box, Button, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useMemo, useState} from 'react'
import {Link as RouterLink, useParams, useSearchParams} from 'react-router'
import {course} from '../../api/courses'
import {gradebook} from '../../api/grades'
import {Frame} from '../frame/Frame'
import {GroupChoice, groupsOf} from '../../ui/GroupChoice'
import {useKeys} from '../../ui/keys'
import {Empty} from '../../ui/Remark'
import {many} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {Import} from './Import'
import {coveredBy, inOrder, meanOf, said, shown, type Book, type Order, type Row} from './table'
import {GradeBreakdown} from './GradeBreakdown'
import {Export} from './Export'
import {Settings} from './Settings'

export const Gradebook = () => (
  <Screen>
    <BookScreen />
  </Screen>
)

/** The work of a course side by side. What is chosen opens to its sum beside it. */
function BookScreen() {
  const {id = ''} = useParams()
  const {data: whole} = useSuspenseQuery(course(id))
  const {data} = useSuspenseQuery(gradebook(id))
  const [query, setQuery] = useSearchParams()
  const [order, setOrder] = useState<Order>('name')
  const [group, setGroup] = useState('')
  const [dialog, setDialog] = useState<'settings' | 'import' | null>(null)
  const mayDirect = whole.role === 'instructor'
  const groups = useMemo(() => groupsOf(data.rows), [data])
  const rows = useMemo(
    () =>
      inOrder(
        data.rows.filter(one => group === '' || one.group === group),
        order,
      ),
    [data, group, order],
  )
  const student = query.get('student')
  const work = query.get('work')
  const open = (to: string, piece: string | null) =>
    setQuery({student: to, ...(piece === null ? {} : {work: piece})}, {replace: true})
  const chosen = data.rows.find(row => row.studentId === student)
  useKeys([
    {
      key: 'o',
      does: order === 'course' ? 'by name' : 'by grade',
      run: () => setOrder(order === 'course' ? 'name' : 'course'),
    },
    ...(chosen === undefined ? [] : [{key: 'Escape', does: 'close', run: () => setQuery({}, {replace: true})}]),
  ])
  return (
    <Frame steps={[{name: whole.title, to: `/courses/${id}`}, {name: 'Gradebook'}]} wide>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: chosen === undefined ? 'minmax(0, 1fr)' : 'minmax(0, 1fr) 25rem',
        }}
      >
        <Box sx={{overflow: 'auto', py: 2.5, bgcolor: 'desk.sheet'}} tabIndex={0} role="region" aria-label="Gradebook">
          <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 1.5, px: 4}}>
            <Typography variant="h1" sx={{fontSize: '1.5rem', flex: 1}}>
              Gradebook
            </Typography>
            <GroupChoice groups={groups} value={group} onChange={setGroup} />
            <Link component={RouterLink} variant="body2" to={`/courses/${id}/term`}>
              The term in pictures
            </Link>
            <Export courseId={id} />
            {mayDirect && (
              <>
                <Button onClick={() => setDialog('import')}>Take in marks…</Button>
                <Button variant="outlined" onClick={() => setDialog('settings')}>
                  What counts…
                </Button>
              </>
            )}
          </Box>
          {data.columns.length === 0 || data.rows.length === 0 ? (
            <Box sx={{px: 4}}>
              <Empty>
                {data.rows.length === 0
                  ? 'Nobody is on the roster yet.'
                  : 'No work yet. Once work is set, or marks are taken in, it stands here side by side.'}
              </Empty>
            </Box>
          ) : (
            <Table book={data} rows={rows} order={order} onOrder={setOrder} at={{student, work}} onOpen={open} />
          )}
        </Box>
        {chosen !== undefined && (
          <GradeBreakdown
            key={`${chosen.studentId} ${work}`}
            courseId={id}
            book={data}
            row={chosen}
            work={work}
            mayChange={mayDirect}
            onClose={() => setQuery({}, {replace: true})}
          />
        )}
      </Box>
      {dialog === 'settings' && <Settings courseId={id} book={data} onClose={() => setDialog(null)} />}
      {dialog === 'import' && <Import courseId={id} onClose={() => setDialog(null)} />}
    </Frame>
  )
}

interface TableProps {
  book: Book
  rows: Row[]
  order: Order
  onOrder: (order: Order) => void
  at: {student: string | null; work: string | null}
  onOpen: (student: string, work: string | null) => void
}

function Table({book, rows, order, onOrder, at, onOpen}: TableProps) {
  const sorted = (by: Order) => (order === by ? 'ascending' : undefined)
  const head = (by: Order, words: string) => (
    <Link component="button" variant="body2" onClick={() => onOrder(order === by && by !== 'name' ? 'name' : by)}>
      {words}
    </Link>
  )
  const isHere = (row: Row, work: string | null) => at.student === row.studentId && at.work === work
  const hasParts = book.parts.length > 1
  return (
    <Box component="table" sx={BOOK}>
      <caption className="unseen">Students down, work across</caption>
      <thead>
        <tr>
          <th scope="col" aria-sort={sorted('name')}>
            {head('name', 'Student')}
          </th>
          <th scope="col" aria-sort={sorted('course')} className="whole">
            {head('course', 'Course, %')}
          </th>
          {hasParts &&
            book.parts.map(part => (
              <th key={part.id} scope="col" className="whole">
                <Typography variant="body2" component="span">
                  {part.title}, %
                </Typography>
              </th>
            ))}
          {book.columns.map((column, index) => (
            <th key={column.id} scope="col" aria-sort={sorted(index)}>
              {head(index, column.title)}
              <Typography variant="body2" component="div" color="textSecondary">
                {column.possible === null ? '' : `of ${column.possible}`}
                {column.isAssignment ? '' : ', elsewhere'}
              </Typography>
            </th>
          ))}
        </tr>
        <tr className="all">
          <th scope="row">
            <Typography variant="body2" component="span" color="textSecondary">
              The class, in percent (of how many)
            </Typography>
          </th>
          <td className="whole" />
          {hasParts && book.parts.map(part => <td key={part.id} className="whole" />)}
          {book.columns.map((column, index) => (
            <td key={column.id}>
              <Typography variant="body2" component="span" color="textSecondary">
                <Mean percent={meanOf(rows, index)} of={coveredBy(rows, index)} />
              </Typography>
            </td>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(row => (
          <tr key={row.studentId}>
            <th scope="row">
              <Link component="button" variant="body2" onClick={() => onOpen(row.studentId, null)}>
                {row.name}
              </Link>
            </th>
            <td className="whole">
              <Link
                component="button"
                variant="body2"
                className={isHere(row, null) ? 'here' : undefined}
                aria-label={`${row.name}, the course: ${row.percent === null ? 'nothing counts yet' : `${row.percent} percent`}`}
                onClick={() => onOpen(row.studentId, null)}
              >
                {row.percent ?? '–'}
              </Link>
            </td>
            {hasParts &&
              row.parts.map((percent, index) => (
                <td key={book.parts[index]?.id} className="whole">
                  <Typography variant="body2" component="span" color="textSecondary">
                    {percent ?? '–'}
                  </Typography>
                </td>
              ))}
            {book.columns.map((column, index) => {
              const cell = row.cells[index]
              if (cell === undefined) return null
              const words = `${row.name}. ${said(cell, column)}`
              return (
                <td key={column.id}>
                  <Link
                    component="button"
                    variant="body2"
                    title={words}
                    aria-label={words}
                    className={[
                      cell.kind,
                      cell.isReplied ? 'out' : 'pencil',
                      isHere(row, column.id) ? 'here' : '',
                    ].join(' ')}
                    onClick={() => onOpen(row.studentId, column.id)}
                  >
                    {shown(cell) === '' ? '·' : shown(cell)}
                    {cell.open > 0 && <span className="late">?</span>}
                    {cell.isLate && <span className="late"> late</span>}
                  </Link>
                </td>
              )
            })}
          </tr>
        ))}
      </tbody>
    </Box>
  )
}

const BOOK = {
  borderCollapse: 'collapse',
  minWidth: '60%',
  '& th, & td': {
    textAlign: 'right',
    p: 0,
    px: 1.25,
    fontWeight: 400,
    height: 29,
    borderBottom: 1,
    borderColor: 'desk.rule',
  },
  '& thead th': {verticalAlign: 'bottom', pb: 0.75, maxWidth: '9rem', lineHeight: 1.25},
  '& thead button': {textAlign: 'right'},
  '& th[scope=row], & thead th:first-of-type': {
    textAlign: 'left',
    minWidth: '12rem',
    whiteSpace: 'nowrap',
    position: 'sticky',
    left: 0,
    pl: 4,
    bgcolor: 'desk.sheet',
    zIndex: 1,
  },
  '& th[aria-sort=ascending] button': {fontWeight: 700},
  '& .all td, & .all th': {borderBottom: 2, borderColor: 'desk.rule'},
  '& tbody tr': {contentVisibility: 'auto', containIntrinsicSize: '29px'},
  '& td button': {minWidth: '2.5rem', textAlign: 'right', whiteSpace: 'nowrap'},
  '& td.whole button': {fontWeight: 600},
  // What has gone out with a reply is ink, the rest is pencil.
  '& .pencil': {color: 'desk.pencil'},
  '& .out': {color: 'desk.ink', fontWeight: 600},
  '& .by-hand': {color: 'desk.ink', textDecorationLine: 'underline'},
  '& .missing, & .excused, & .late': {color: 'desk.waits'},
  '& .here': {outline: '2px solid', outlineColor: 'desk.ink', outlineOffset: 3},
} as const

/** @param of how many students it covers */
const Mean = ({percent, of}: {percent: number | null; of: number}) => (
  <span title={`The mean of ${many(of, 'student')}`}>{percent === null ? '' : `${percent} (${of})`}</span>
)
