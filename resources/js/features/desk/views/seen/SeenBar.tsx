import {Box, FormControlLabel, NativeSelect, Switch, Typography} from '@mui/material'
import type {ReactNode} from 'react'
import type {Manner, Pointing} from './manner'

/** Widths that readers have, common practice: of a telephone, of a tablet held upright, of a desk. */
const WIDTHS = [
  {px: 390, name: 'telephone, 390 px'},
  {px: 820, name: 'tablet, 820 px'},
  {px: 1280, name: 'desk, 1280 px'},
]

/** The body of a page: where pointing begins. */
const BODY = '1'

/** One line above a page that says in which styles and how wide it is seen, and lets that be changed. */
export function SeenBar({
  manner,
  sheets,
  given,
  onManner,
  pointing,
}: {
  manner: Manner
  sheets: string[]
  /** paths of the stylesheets that the assignment gives */
  given: string[]
  onManner: (manner: Manner) => void
  pointing?: Pointing | undefined
}) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 2,
        px: 2,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Choice
        word="In"
        label="In these styles"
        value={manner.styles}
        onChange={styles => onManner({...manner, styles})}
      >
        <option value="own">its own styles</option>
        <option value="none">no styles</option>
        {sheets.map(path => (
          <option key={path} value={`sheet:${path}`}>
            {path} alone
          </option>
        ))}
        {given.map(path => (
          <option key={path} value={`given:${path}`}>
            {path} as given
          </option>
        ))}
      </Choice>
      <Choice
        word="on a"
        label="on a page so wide"
        value={String(manner.width ?? '')}
        onChange={width => onManner({...manner, width: width === '' ? null : Number(width)})}
      >
        <option value="">page as wide as here</option>
        {WIDTHS.map(({px, name}) => (
          <option key={px} value={px}>
            {name}
          </option>
        ))}
      </Choice>
      {pointing !== undefined && (
        <Flick
          label="Point at elements"
          checked={pointing.at !== null}
          onChange={on => pointing.onPoint(on ? BODY : null)}
        />
      )}
      <Flick label="Run scripts" checked={manner.scripts} onChange={scripts => onManner({...manner, scripts})} />
      {manner.scripts && (
        <Typography variant="body2" color="textSecondary">
          The student’s code is running, in a sandbox without network.
        </Typography>
      )}
    </Box>
  )
}

function Choice({
  word,
  label,
  value,
  onChange,
  children,
}: {
  /** what stands before it */
  word: string
  label: string
  value: string
  onChange: (value: string) => void
  children: ReactNode
}) {
  return (
    <Typography variant="body2" color="textSecondary" noWrap>
      {word}{' '}
      <NativeSelect
        value={value}
        onChange={event => onChange(event.target.value)}
        inputProps={{'aria-label': label}}
        sx={{fontSize: 'inherit', maxWidth: '11rem', verticalAlign: 'baseline'}}
      >
        {children}
      </NativeSelect>
    </Typography>
  )
}

function Flick({label, checked, onChange}: {label: string; checked: boolean; onChange: (on: boolean) => void}) {
  return (
    <FormControlLabel
      label={<Typography variant="body2">{label}</Typography>}
      control={<Switch size="small" checked={checked} onChange={event => onChange(event.target.checked)} />}
      sx={{mr: 0, ml: -1}}
    />
  )
}
