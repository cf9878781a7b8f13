import {Box, NativeSelect, Typography} from '@mui/material'
import {useQuery, useSuspenseQuery} from '@tanstack/react-query'
import {lazy, Suspense} from 'react'
import {useParams, useSearchParams} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {course} from '../../api/courses'
import {studentTerm, term} from '../../api/grades'
import {Frame} from '../frame/Frame'
import {Empty} from '../../ui/Remark'
import {RuledTable} from '../../ui/RuledTable'
import {titleOf} from '../../lib/rules'
import {Screen} from '../frame/Screen'
import {alongside, number, ofKinds} from './drawn'

/** The charts weigh more than all else on this screen. */
const PointsChart = lazy(async () => ({default: (await import('./Charts')).PointsChart}))
const KindsChart = lazy(async () => ({default: (await import('./Charts')).KindsChart}))

export const Term = () => (
  <Screen>
    <TermScreen />
  </Screen>
)

/** The points and the commonest slips of a class over its assignments, and of one student beside it. */
function TermScreen() {
  const {id = ''} = useParams()
  const [query, setQuery] = useSearchParams()
  const {data: whole} = useSuspenseQuery(course(id))
  const {data: ofClass} = useSuspenseQuery(term(id))
  const student = query.get('student')
  const {data: ofStudent} = useQuery({...studentTerm(student ?? ''), enabled: student !== null})
  const data = student === null ? ofClass : (ofStudent ?? ofClass)
  const name = ofClass.students.find(one => one.id === student)?.name ?? null
  return (
    <Frame
      steps={[
        {name: whole.title, to: `/courses/${id}`},
        {name: 'Gradebook', to: `/courses/${id}/gradebook`},
        {name: 'The term in pictures'},
      ]}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, mb: 2}}>
        <Typography variant="h1" sx={{fontSize: '1.5rem', flex: 1}}>
          The term in pictures
        </Typography>
        <NativeSelect
          value={student ?? ''}
          onChange={event => setQuery(event.target.value === '' ? {} : {student: event.target.value}, {replace: true})}
          inputProps={{'aria-label': 'of whom'}}
          sx={{fontSize: '0.9rem'}}
        >
          <option value="">the class</option>
          {ofClass.students.map(one => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </NativeSelect>
      </Box>
      {data.work.every(one => one.handIns === 0) ? (
        <Empty>Nothing has points yet. Once hand-ins are checked, the term is drawn here.</Empty>
      ) : (
        <>
          <Figure title="Points, in percent of what could be had">
            <Suspense fallback={<Blank />}>
              <PointsChart work={data.work} name={name} />
            </Suspense>
            <PointsTable work={data.work} name={name} />
          </Figure>
          <Figure
            title={
              name === null ? 'Commonest slips, in percent of the hand-ins' : `Slips of ${name}, how often in each`
            }
          >
            <Suspense fallback={<Blank />}>
              <KindsChart work={data.work} kinds={data.kinds} isOwn={name !== null} />
            </Suspense>
            <KindsTable work={data.work} kinds={data.kinds} isOwn={name !== null} />
          </Figure>
        </>
      )}
    </Frame>
  )
}

const Blank = () => <Box sx={{height: 300}} />

function Figure({title, children}: {title: string; children: React.ReactNode}) {
  return (
    <Box component="section" aria-label={title} sx={{mb: 5}}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      {children}
    </Box>
  )
}

function PointsTable({work, name}: {work: Schemas['TermWork'][]; name: string | null}) {
  const heads = ['Work', 'Hand-ins', 'A quarter has less than', 'Half have less than', 'A quarter has more than']
  return (
    <RuledTable caption="The points as a table" heads={name === null ? heads : [...heads, name, 'Beside the class']}>
      {work.map(one => (
        <tr key={one.id}>
          <th scope="row">{one.title}</th>
          <td>{one.handIns}</td>
          <td>{number(one.low)}</td>
          <td>{number(one.middle)}</td>
          <td>{number(one.high)}</td>
          {name !== null && (
            <>
              <td>{number(one.own)}</td>
              <td>{alongside(one)}</td>
            </>
          )}
        </tr>
      ))}
    </RuledTable>
  )
}

function KindsTable({work, kinds, isOwn}: {work: Schemas['TermWork'][]; kinds: Schemas['TermKind'][]; isOwn: boolean}) {
  return (
    <RuledTable caption="The slips as a table" heads={['Kind', ...work.map(one => one.title)]}>
      {ofKinds(kinds, isOwn).map(({rule, values}) => (
        <tr key={rule}>
          <th scope="row">{titleOf(rule)}</th>
          {values.map((value, at) => (
            <td key={work[at]?.id}>{number(value)}</td>
          ))}
        </tr>
      ))}
    </RuledTable>
  )
}
