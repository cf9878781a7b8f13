import {useTheme} from '@mui/material'
import {BarChart} from '@mui/x-charts/BarChart'
import {LineChart} from '@mui/x-charts/LineChart'
import type {Schemas} from '../../lib/schemas'
import {titleOf} from '../../lib/rules'
import {drawnOf, ofKinds} from './drawn'

/** Pixels of each bar, of the gap between kinds, and of the axis below. */
const BAR = 13
const GAP = 16
const AXIS = 60

/** More titles than that do not fit side by side. */
const CROWDED = 5

/** Characters of a title below the points, where they are many. */
const LONGEST = 18

/** The colours of the desk, in whichever light. */
function useDesk() {
  const theme = useTheme()
  return (theme.vars ?? theme).palette.desk
}

/** The points of a class over its assignments: the median, the middle half around it, and one student. */
export function PointsChart({work, name}: {work: Schemas['TermWork'][]; name: string | null}) {
  const {ink, pencil, rule} = useDesk()
  const isCrowded = work.length > CROWDED
  const valueFormatter = (value: number | null) => (value === null ? '' : `${value} %`)
  const series = (label: string, key: 'low' | 'middle' | 'high' | 'own', color: string, showMark: boolean) => ({
    id: key,
    label,
    data: work.map(one => one[key]),
    color,
    showMark,
    curve: 'linear' as const,
    connectNulls: true,
    valueFormatter,
  })
  return (
    <LineChart
      height={isCrowded ? 340 : 290}
      margin={{left: 20, right: 60}}
      skipAnimation
      grid={{horizontal: true}}
      xAxis={[
        {
          scaleType: 'point',
          data: work.map(one => one.title),
          height: isCrowded ? 90 : 34,
          tickLabelInterval: () => true,
          tickLabelStyle: isCrowded ? {angle: -25, textAnchor: 'end'} : {},
          valueFormatter: (title: string) =>
            isCrowded && title.length > LONGEST ? `${title.slice(0, LONGEST)}…` : title,
        },
      ]}
      yAxis={[{min: 0, max: 100, width: 40}]}
      series={[
        series('a quarter has more', 'high', pencil, false),
        series('the middle of the class', 'middle', name === null ? ink : pencil, true),
        series('a quarter has less', 'low', pencil, false),
        ...(name === null ? [] : [series(name, 'own', ink, true)]),
      ]}
      sx={{
        '& .MuiChartsGrid-line': {stroke: rule, strokeDasharray: '2 4'},
        '& [data-series="high"], & [data-series="low"]': {strokeDasharray: '5 4', strokeWidth: 2, stroke: pencil},
        '& .MuiChartsAxis-line, & .MuiChartsAxis-tick': {stroke: pencil},
      }}
    />
  )
}

/** The commonest slips, each with a bar for each assignment: the later, the darker. */
export function KindsChart({
  work,
  kinds,
  isOwn,
}: {
  work: Schemas['TermWork'][]
  kinds: Schemas['TermKind'][]
  isOwn: boolean
}) {
  const {ink, sheet, pencil, rule} = useDesk()
  const rows = ofKinds(kinds, isOwn)
  const drawn = drawnOf(work, isOwn)
  if (rows.length === 0 || drawn.length === 0) return null
  const shade = (at: number) => Math.round(30 + (70 * (at + 1)) / drawn.length)
  return (
    <BarChart
      layout="horizontal"
      height={rows.length * (drawn.length * BAR + GAP) + AXIS}
      skipAnimation
      grid={{vertical: true}}
      yAxis={[{scaleType: 'band', data: rows.map(({rule: name}) => titleOf(name)), width: 190, categoryGapRatio: 0.25}]}
      xAxis={[{min: 0, ...(isOwn ? {tickMinStep: 1} : {max: 100})}]}
      series={drawn.map(({one, place}, at) => ({
        id: one.id,
        label: one.title,
        data: rows.map(({values}) => values[place] ?? 0),
        color: `color-mix(in srgb, ${ink} ${shade(at)}%, ${sheet})`,
        valueFormatter: (value: number | null) => (isOwn ? String(value ?? 0) : `${value ?? 0} %`),
      }))}
      sx={{
        '& .MuiChartsGrid-line': {stroke: rule, strokeDasharray: '2 4'},
        '& .MuiChartsAxis-line, & .MuiChartsAxis-tick': {stroke: pencil},
      }}
    />
  )
}
