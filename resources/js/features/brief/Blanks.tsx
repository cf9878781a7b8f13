import {Autocomplete, Box, Input, Link, NativeSelect, TextField, Typography} from '@mui/material'
import {useState, type ReactNode} from 'react'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {typedNumber} from '../../lib/numbers'
import {mono} from '../../ui/theme'
import type {Asked} from './document'
import {entriesAsLines, linesAsEntries, linesAsParts, linesAsSteps, partsAsLines, stepsAsLines} from './lines'

type Field = Schemas['BriefFieldView']
type OnWrite = (name: string, value: unknown) => void

/** Fields that have a place of their own, or are chosen with the sentence. */
const APART = new Set(['id', 'kind'])

/** What can be said of every requirement, in the order in which it is said. */
const TERMS = ['title', 'points', 'pages', 'credit', 'steps', 'weight', 'message', 'comment']

/** Blanks that are there though nothing is said in them. */
const ALWAYS = new Set(['title', 'points', 'pages'])

/** The parts of a sentence as blanks in a paragraph, each said in the words of the core's own declaration. */
export function Blanks({
  asked,
  kinds,
  names,
  onWrite,
}: {
  asked: Asked
  kinds: Schemas['BriefKinds']
  names: string[]
  onWrite: OnWrite
}) {
  const kind = kinds.kinds.find(one => one.kind === asked.kind)
  const terms = TERMS.map(name => kinds.terms.find(field => field.name === name)).filter(field => field !== undefined)
  const [hasAll, setAll] = useState(false)
  // One that is emptied stays under the hand that empties it.
  const [said, setSaid] = useState(() => new Set(Object.keys(asked)))
  if (Object.keys(asked).some(name => !said.has(name))) setSaid(new Set([...said, ...Object.keys(asked)]))
  const own = kind?.fields ?? []
  const shown = (fields: Field[]) =>
    fields.filter(({name, required}) => !APART.has(name) && (hasAll || required || said.has(name) || ALWAYS.has(name)))
  const blanks = (fields: Field[]) =>
    shown(fields).map(field => (
      <Blank key={field.name} field={field} value={asked[field.name]} names={names} onWrite={onWrite} />
    ))
  return (
    <Box sx={{display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1, alignItems: 'baseline'}}>
      {blanks(own)}
      {blanks(terms)}
      <Link component="button" type="button" variant="body2" onClick={() => setAll(!hasAll)}>
        {hasAll ? 'Only what is said' : 'What else can be said'}
      </Link>
      {kind !== undefined && (
        <Typography variant="body2" color="textSecondary" sx={{flexBasis: '100%'}}>
          <Coded>{kind.about}</Coded>
        </Typography>
      )}
    </Box>
  )
}

/** The blanks of what is no sentence: all of its fields, whether something is said in them or not. */
export function FieldBlanks({
  fields,
  values,
  names = [],
  onWrite,
}: {
  fields: Field[]
  values: Asked
  names?: string[]
  onWrite: OnWrite
}) {
  return (
    <Box sx={{display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1, alignItems: 'baseline'}}>
      {fields.map(field => (
        <Blank key={field.name} field={field} value={values[field.name]} names={names} onWrite={onWrite} />
      ))}
    </Box>
  )
}

interface BlankProps {
  field: Field
  value: unknown
  names: string[]
  onWrite: OnWrite
}

function Blank(props: BlankProps) {
  const {field, value, onWrite} = props
  const {name} = field
  if (name === 'comment') return <Lines {...props} show={text} read={typed => typed} />
  switch (field.type) {
    case 'yes or no':
      return (
        <Choice
          {...props}
          value={value === undefined ? '' : value === true ? 'yes' : 'no'}
          choices={['yes', 'no']}
          onChoose={chosen => onWrite(name, chosen === '' ? undefined : chosen === 'yes')}
        />
      )
    case 'choice':
      return (
        <Choice
          {...props}
          value={text(value)}
          choices={field.choices}
          onChoose={chosen => onWrite(name, chosen === '' ? undefined : chosen)}
        />
      )
    case 'number':
    case 'whole number':
      return <NumberBlank {...props} />
    case 'texts':
      return <Texts {...props} />
    case 'pages':
      return <Pages {...props} />
    case 'parts':
      return <Lines {...props} show={partsAsLines} read={linesAsParts} />
    case 'entries':
      return <Lines {...props} show={entriesAsLines} read={linesAsEntries} />
    case 'steps':
      return <Lines {...props} show={stepsAsLines} read={linesAsSteps} />
    default:
      return <Words {...props} />
  }
}

const text = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '')

const inWords = (name: string) => name.replaceAll('_', ' ')

/** A blank with its word before it, and what it means for whoever points at it. */
function Worded({field, children}: {field: Field; children: ReactNode}) {
  return (
    <Typography
      component="label"
      variant="body2"
      title={field.about}
      sx={{display: 'inline-flex', alignItems: 'baseline', gap: 0.75}}
    >
      <Box component="span" sx={{color: 'text.secondary', whiteSpace: 'nowrap'}}>
        {inWords(field.name)}
      </Box>
      {children}
    </Typography>
  )
}

function Choice({
  field,
  value,
  choices,
  onChoose,
}: {
  field: Field
  value: string
  choices: string[]
  onChoose: (chosen: string) => void
}) {
  return (
    <Worded field={field}>
      <NativeSelect value={value} onChange={event => onChoose(event.target.value)} sx={{fontSize: 'inherit'}}>
        <option value="">not said</option>
        {choices.map(choice => (
          <option key={choice} value={choice}>
            {choice}
          </option>
        ))}
      </NativeSelect>
    </Worded>
  )
}

function NumberBlank({field, value, onWrite}: BlankProps) {
  const write = (typed: string) => {
    const number = typedNumber(typed)
    onWrite(field.name, typed.trim() === '' ? undefined : Number.isNaN(number) ? typed : number)
  }
  return (
    <Worded field={field}>
      <Typed value={text(value)} width={56} onType={write} inputMode="decimal" />
    </Worded>
  )
}

function Words({field, value, names, onWrite}: BlankProps) {
  const list = field.type === 'selector' || /selector/i.test(field.about) ? names : []
  return (
    <Worded field={field}>
      <Typed
        value={text(value)}
        width={field.name === 'title' ? 260 : 220}
        list={list}
        onType={typed => onWrite(field.name, typed === '' ? undefined : typed)}
      />
    </Worded>
  )
}

/** What is typed stays as it was typed, while its meaning goes into the brief. */
function Typed({
  value,
  width,
  list = [],
  inputMode = 'text',
  onType,
}: {
  value: string
  width: number
  list?: string[]
  inputMode?: 'text' | 'decimal'
  onType: (typed: string) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const id = `names-${list.length}`
  return (
    <>
      <Input
        value={typed ?? value}
        onChange={event => {
          setTyped(event.target.value)
          onType(event.target.value)
        }}
        onBlur={() => setTyped(null)}
        inputProps={{inputMode, list: list.length === 0 ? undefined : id}}
        sx={{fontSize: 'inherit', width}}
      />
      {list.length > 0 && (
        <datalist id={id}>
          {list.map(name => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
    </>
  )
}

/** Several texts: chosen from the site at hand, or typed. */
function Texts({field, value, names, onWrite}: BlankProps) {
  const list = Array.isArray(value) ? value.map(String) : value === undefined ? [] : [text(value)]
  return (
    <Several
      label={inWords(field.name)}
      about={field.about}
      list={list}
      options={field.choices.length > 0 ? field.choices : names}
      onChange={chosen => onWrite(field.name, chosen.length === 0 ? undefined : chosen)}
    />
  )
}

function Several({
  label,
  about,
  list,
  options,
  onChange,
}: {
  label: string
  about: string
  list: string[]
  options: string[]
  onChange: (list: string[]) => void
}) {
  return (
    <Autocomplete
      multiple
      freeSolo
      autoSelect
      size="small"
      options={options.filter(option => !list.includes(option))}
      value={list}
      onChange={(_, chosen) => onChange(chosen)}
      sx={{minWidth: 300, maxWidth: '100%'}}
      renderInput={parameters => <TextField {...parameters} variant="standard" label={label} title={about} />}
    />
  )
}

const SCOPES = {all: 'all pages', home: 'the home page', these: 'these pages', not: 'all pages but these'}

type Scope = keyof typeof SCOPES

/** Which pages a sentence is about. */
function Pages({field, value, names, onWrite}: BlankProps) {
  const isBut = typeof value === 'object' && value !== null && !Array.isArray(value)
  const scope: Scope =
    value === undefined || value === 'all' ? 'all' : value === 'home' ? 'home' : isBut ? 'not' : 'these'
  const held = isBut ? (value as {not?: unknown}).not : value
  const list = scope === 'all' || scope === 'home' ? [] : Array.isArray(held) ? held.map(String) : [text(held)]
  const pages = names.filter(name => /\.html?$/i.test(name))
  const write = (to: Scope, chosen: string[]) => {
    if (to === 'all') onWrite(field.name, undefined)
    else if (to === 'home') onWrite(field.name, 'home')
    else onWrite(field.name, to === 'not' ? {not: chosen} : chosen)
  }
  return (
    <>
      <Worded field={field}>
        <NativeSelect
          value={scope}
          onChange={event => write(event.target.value as Scope, list.length === 0 ? ['*.html'] : list)}
          sx={{fontSize: 'inherit'}}
        >
          {Object.entries(SCOPES).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </NativeSelect>
      </Worded>
      {(scope === 'these' || scope === 'not') && (
        <Several
          label="which pages"
          about={field.about}
          list={list}
          options={pages}
          onChange={chosen => write(scope, chosen)}
        />
      )}
    </>
  )
}

/** What has lines of its own: parts, entries, steps, comments. */
function Lines({
  field,
  value,
  onWrite,
  show,
  read,
}: BlankProps & {show: (value: unknown) => string; read: (lines: string) => unknown}) {
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <TextField
      label={inWords(field.name)}
      title={field.about}
      multiline
      minRows={2}
      value={typed ?? show(value)}
      onChange={event => {
        setTyped(event.target.value)
        onWrite(field.name, event.target.value.trim() === '' ? undefined : read(event.target.value))
      }}
      onBlur={() => setTyped(null)}
      slotProps={{htmlInput: {style: {fontFamily: mono, fontSize: 13}, spellCheck: false}}}
      sx={{minWidth: 320}}
    />
  )
}
