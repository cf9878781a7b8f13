import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQuery, useQueryClient} from '@tanstack/react-query'
import {useState, type ReactNode} from 'react'
import {Link as RouterLink} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {gradebook, studentGrades} from '../../api/grades'
import {ErrorText} from '../../ui/Remark'
import {typedNumber} from '../../lib/numbers'
import {said, type Book, type Cell, type Column, type Row} from './table'

interface GradeBreakdownProps {
  courseId: string
  book: Book
  row: Row
  /** null for the whole course */
  work: string | null
  mayChange: boolean
  onClose: () => void
}

/** A number of the gradebook, opened to its sum; where it is one piece of work it can be changed. */
export function GradeBreakdown({courseId, book, row, work, mayChange, onClose}: GradeBreakdownProps) {
  const {data, error} = useQuery(studentGrades(row.studentId))
  const at = book.columns.findIndex(column => column.id === work)
  const column = book.columns[at]
  const cell = row.cells[at]
  return (
    <Box
      component="section"
      aria-labelledby="opened"
      tabIndex={0}
      sx={{borderLeft: 1, borderColor: 'divider', overflow: 'auto', px: 2.5, py: 2.5}}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
        <Typography variant="h2" id="opened" sx={{flex: 1}}>
          {row.name}
        </Typography>
        <Link component="button" variant="body2" onClick={onClose}>
          Close
        </Link>
      </Box>
      <ErrorText error={error} />
      {column === undefined || cell === undefined ? (
        data !== undefined && <Whole grades={data} />
      ) : (
        <>
          <Piece column={column} cell={cell} sum={data?.sums[at]} />
          {mayChange && <Change courseId={courseId} row={row} column={column} cell={cell} />}
        </>
      )}
    </Box>
  )
}

function Sum({children}: {children: ReactNode}) {
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        my: 1.5,
        fontSize: '0.88rem',
        '& th, & td': {
          py: 0.5,
          textAlign: 'left',
          fontWeight: 400,
          verticalAlign: 'top',
          borderBottom: 1,
          borderColor: 'desk.rule',
        },
        '& td': {textAlign: 'right', whiteSpace: 'nowrap', pl: 1.5},
        '& tfoot th, & tfoot td': {fontWeight: 700, borderBottom: 0},
        '& small': {fontSize: '0.95em', color: 'text.secondary', display: 'block'},
      }}
    >
      {children}
    </Box>
  )
}

/** What the grade of a course is made of. */
function Whole({grades}: {grades: Schemas['StudentGrades']}) {
  const percent = (share: number | null) => (share === null ? '–' : `${share} %`)
  return (
    <>
      {grades.parts.map(part => (
        <Sum key={part.title}>
          <caption style={{textAlign: 'left'}}>
            <Typography variant="h3">{part.title}</Typography>
          </caption>
          <tbody>
            {part.pieces.map(piece => (
              <tr key={piece.title}>
                <th scope="row">
                  {piece.title}
                  {piece.why === '' ? (
                    piece.weight !== 1 && <small>weighs {piece.weight}</small>
                  ) : (
                    <small>{piece.why}</small>
                  )}
                </th>
                <td style={piece.why === '' ? {} : {textDecoration: 'line-through'}}>{percent(piece.percent)}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">
                {part.title}
                <small>{part.how}</small>
              </th>
              <td>{percent(part.percent)}</td>
            </tr>
          </tfoot>
        </Sum>
      ))}
      <Typography
        variant="h3"
        sx={{display: 'flex', justifyContent: 'space-between', borderTop: 2, borderColor: 'divider', pt: 1}}
      >
        The course <span>{percent(grades.percent)}</span>
      </Typography>
      <Typography variant="body2" color="textSecondary">
        {grades.how}
      </Typography>
    </>
  )
}

/** The sum behind one number. */
function Piece({column, cell, sum}: {column: Column; cell: Cell; sum: Schemas['GradeSum'] | undefined}) {
  const byHand = cell.kind === 'by-hand' || cell.kind === 'excused'
  return (
    <>
      <Typography variant="body1" sx={{mt: 0.5}}>
        {said(cell, column)}.
      </Typography>
      {byHand && cell.worked !== null && (
        <Typography variant="body2" color="textSecondary">
          The desk gives {cell.worked}:
        </Typography>
      )}
      {sum !== undefined && sum.lines.length > 0 && (
        <Sum>
          <tbody>
            {sum.lines.map((line, index) => (
              <tr key={index}>
                <th scope="row">
                  {line.title}
                  <small>{line.how}</small>
                </th>
                <td>{line.possible === null ? line.points : `${line.points} of ${line.possible}`}</td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">All of it</th>
              <td>
                {cell.worked ?? cell.awarded} of {cell.possible}
              </td>
            </tr>
          </tfoot>
        </Sum>
      )}
      {cell.handInId !== null && (
        <Link component={RouterLink} variant="body2" underline="always" to={`/hand-ins/${cell.handInId}`}>
          To the desk
        </Link>
      )}
    </>
  )
}

/** Points by hand in place of the desk's, with a reason. */
function Change({courseId, row, column, cell}: {courseId: string; row: Row; column: Column; cell: Cell}) {
  const queries = useQueryClient()
  const isByHand = cell.kind === 'by-hand' || cell.kind === 'excused'
  const [points, setPoints] = useState(cell.kind === 'by-hand' ? String(cell.awarded) : '')
  const [reason, setReason] = useState(cell.reason ?? '')
  const path = {student: row.studentId, work: column.id}
  const refresh = async () => {
    await queries.invalidateQueries({queryKey: gradebook(courseId).queryKey})
    await queries.invalidateQueries({queryKey: studentGrades(row.studentId).queryKey})
  }
  const give = useMutation({
    mutationFn: (isExcused: boolean) =>
      unwrap(
        api.PUT('/api/students/{student}/grades/{work}', {
          params: {path},
          body: {points: isExcused ? null : typedNumber(points), reason},
        }),
      ),
    onSuccess: refresh,
  })
  const back = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/students/{student}/grades/{work}', {params: {path}})),
    onSuccess: async () => {
      setPoints('')
      setReason('')
      await refresh()
    },
  })
  const isNumber = /^\d+(?:[.,]\d+)?$/.test(points.trim())
  return (
    <Box component="form" sx={{mt: 2.5}} onSubmit={event => event.preventDefault()}>
      <Typography variant="h3" gutterBottom>
        By hand
      </Typography>
      <Box sx={{display: 'grid', gridTemplateColumns: '7rem minmax(0, 1fr)', gap: 1}}>
        <TextField label="Points" value={points} onChange={event => setPoints(event.target.value)} />
        <TextField label="Why" value={reason} onChange={event => setReason(event.target.value)} required />
      </Box>
      <Box sx={{display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1}}>
        <Button
          type="submit"
          variant="contained"
          disabled={!isNumber || reason.trim() === ''}
          loading={give.isPending}
          onClick={() => give.mutate(false)}
        >
          Give {isNumber ? points : 'points'}
        </Button>
        <Button disabled={reason.trim() === '' || give.isPending} onClick={() => give.mutate(true)}>
          Excuse
        </Button>
        {isByHand && (
          <Button loading={back.isPending} onClick={() => back.mutate()}>
            {column.isAssignment ? 'Back to the desk’s points' : 'Take it out'}
          </Button>
        )}
      </Box>
      <ErrorText error={give.error ?? back.error} />
    </Box>
  )
}
