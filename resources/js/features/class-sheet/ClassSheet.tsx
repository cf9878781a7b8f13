import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useMemo, useState} from 'react'
import {useParams} from 'react-router'
import {classSheet} from '../../api/marking'
import {Frame} from '../frame/Frame'
import {GroupChoice, groupsOf} from '../../ui/GroupChoice'
import {useKeys} from '../../ui/keys'
import {Empty} from '../../ui/Remark'
import {many} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {columnsInOrder, inOrder, type Row, type RowOrder} from './order'
import {ReleaseAll} from './ReleaseAll'
import {Requirements} from './Requirements'
import {SheetTable} from './SheetTable'
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
  const [region, setRegion] = useState<HTMLElement | null>(null)
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
          ref={setRegion}
          sx={{overflow: 'auto', pb: 2.5, bgcolor: 'desk.sheet', scrollPadding: '15rem 3rem 3rem 21rem'}}
          tabIndex={0}
          role="region"
          aria-label="Class sheet"
        >
          <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 1, pt: 2.5, px: 4}}>
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
            <Requirements assignmentId={id} sheet={data} />
            <ReleaseAll assignmentId={id} />
          </Box>
          {data.requirements.length === 0 ? (
            <Box sx={{px: 4}}>
              <Empty>Nothing has been checked yet. Once hand-ins are, every requirement has a column here.</Empty>
            </Box>
          ) : (
            <SheetTable
              rows={rows}
              columns={columns}
              requirements={data.requirements}
              order={order}
              onOrder={setOrder}
              scrolls={region}
            />
          )}
        </Box>
        <Slips assignmentId={id} sheet={data} />
      </Box>
    </Frame>
  )
}

/** What the class has on average, how many students that covers, and how many of them wait to be judged; or ''. */
function average(rows: Row[]): string {
  const shares = rows.flatMap(({awarded, possible}) =>
    awarded === null || possible === null || possible === 0 ? [] : [awarded / possible],
  )
  const sum = shares.reduce((all, one) => all + one, 0)
  const provisional = rows.filter(one => one.open > 0).length
  return shares.length === 0
    ? ''
    : `average ${Math.round((100 * sum) / shares.length)} % (${many(shares.length, 'student')}${
        provisional > 0 ? `, ${provisional} provisional` : ''
      })`
}

/** How many have handed in, and who has not. */
function inShort(rows: Row[]): string {
  const missing = rows.filter(one => one.handInId === null).length
  const late = rows.filter(one => one.late).length
  const replied = rows.filter(one => one.replied).length
  return [
    `${rows.length - missing} of ${many(rows.length, 'student')} handed in`,
    late > 0 ? `${late} late` : '',
    average(rows),
    replied > 0 ? `${many(replied, 'reply', 'replies')} released` : '',
  ]
    .filter(words => words !== '')
    .join(', ')
}
