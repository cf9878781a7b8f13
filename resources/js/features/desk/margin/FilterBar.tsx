import {Box, Link, NativeSelect, Typography} from '@mui/material'
import {titleOf} from '../../../lib/rules'
import {useDesk} from '../deskState'
import {ALL, choices, isAll, type Filter} from './filter'

/** One line above the margin that says what is shown in it, and lets that be changed. */
export function FilterBar() {
  const {margin, mode, change: changeMode, desk} = useDesk()
  const {found, shown, items} = margin
  const {filter} = mode
  const setFilter = (to: Filter) => changeMode({change: 'filter', to})
  const there = choices(found)
  const titles = new Map(desk.outcomes.map(one => [one.requirement, one.title]))
  const set = (change: Partial<Filter>) => setFilter({...filter, ...change})
  if (items.length < 4 && isAll(filter)) return null
  return (
    <Box
      role="group"
      aria-label="What is shown in the margin"
      sx={{display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1, px: 2, pt: 1}}
    >
      <Typography variant="body2" color="textSecondary">
        Shown:
      </Typography>
      <Choice
        label="findings or notes"
        value={filter.what ?? ''}
        all="all"
        options={[
          ['findings', 'findings'],
          ['notes', 'notes'],
        ]}
        onChange={value => set({what: value as Filter['what']})}
      />
      <Choice
        label="of which weight"
        value={filter.weight ?? ''}
        all="any weight"
        options={there.weight.map(one => [
          one,
          one === 'departure' ? 'departures' : one === 'tidy' ? 'advice' : 'faults',
        ])}
        onChange={value => set({weight: value as Filter['weight']})}
      />
      <Choice
        label="in which state"
        value={filter.state ?? ''}
        all="any state"
        options={there.state.map(one => [
          one,
          one === 'pencilled' ? 'in pencil' : one === 'inked' ? 'in ink' : 'rubbed out',
        ])}
        onChange={value => set({state: value as Filter['state']})}
      />
      <Choice
        label="of which kind"
        value={filter.rule ?? ''}
        all="any kind"
        options={there.rule.map(one => [one, titleOf(one)])}
        onChange={rule => set({rule})}
      />
      {(there.requirement.length > 0 || filter.requirement !== null) && (
        <Choice
          label="for which requirement"
          value={filter.requirement ?? ''}
          all="any requirement"
          options={[
            ...new Set([...there.requirement, ...(filter.requirement === null ? [] : [filter.requirement])]),
          ].map(one => [one, titles.get(one) ?? one])}
          onChange={requirement => set({requirement})}
        />
      )}
      {!isAll(filter) && (
        <Typography variant="body2">
          {shown.length} of {items.length}.{' '}
          <Link component="button" underline="always" onClick={() => setFilter(ALL)}>
            Show all
          </Link>
        </Typography>
      )}
    </Box>
  )
}

function Choice({
  label,
  value,
  all,
  options,
  onChange,
}: {
  label: string
  value: string
  /** what it says where nothing is chosen */
  all: string
  options: [string, string][]
  onChange: (value: string | null) => void
}) {
  return (
    <NativeSelect
      value={value}
      onChange={event => onChange(event.target.value === '' ? null : event.target.value)}
      inputProps={{'aria-label': label}}
      disableUnderline={value === ''}
      sx={{fontSize: '0.84rem', maxWidth: '9.5rem', fontWeight: value === '' ? 400 : 700}}
    >
      <option value="">{all}</option>
      {value !== '' && !options.some(([one]) => one === value) && <option value={value}>{value}</option>}
      {options.map(([one, words]) => (
        <option key={one} value={one}>
          {words}
        </option>
      ))}
    </NativeSelect>
  )
}
