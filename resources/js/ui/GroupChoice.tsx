import {NativeSelect} from '@mui/material'

/** The groups that there are, each once. */
export const groupsOf = (rows: {group: string}[]): string[] =>
  [...new Set(rows.map(({group}) => group))].filter(group => group !== '').sort()

/** Chooses one group of a class; nothing where there are none. */
export function GroupChoice({
  groups,
  value,
  onChange,
}: {
  groups: string[]
  /** '' for all */
  value: string
  onChange: (group: string) => void
}) {
  if (groups.length === 0) return null
  return (
    <NativeSelect
      value={value}
      onChange={event => onChange(event.target.value)}
      inputProps={{'aria-label': 'of which group'}}
      sx={{fontSize: '0.9rem'}}
    >
      <option value="">all groups</option>
      {groups.map(group => (
        <option key={group} value={group}>
          {group}
        </option>
      ))}
    </NativeSelect>
  )
}
