import {Box, Button, Link, NativeSelect, Typography} from '@mui/material'
import {useQuery, useSuspenseQuery} from '@tanstack/react-query'
import {useReducer, useState} from 'react'
import {useParams} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {assignment} from '../../api/assignments'
import {briefDraft, briefKinds, briefReading, trialSites} from '../../api/briefs'
import {notJudged} from '../../lib/cost'
import {Coded} from '../../ui/Coded'
import {Frame} from '../frame/Frame'
import {InOrder} from '../../ui/InOrder'
import {ErrorText} from '../../ui/Remark'
import {hour, many, when} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {AskFor} from './AskFor'
import {AsYaml} from './AsYaml'
import {FieldBlanks} from './Blanks'
import {
  add,
  beginWith,
  markingOf,
  move,
  propose,
  proposedOf,
  redo,
  requirementsOf,
  setMarking,
  setOwn,
  undo,
  withPencilOf,
  write,
  type Doc,
  type History,
} from './document'
import {Proposed} from './Proposed'
import {PutInUse} from './PutInUse'
import {Sentence} from './Sentence'
import {Silent} from './Silent'
import {useKept} from './useKept'

export const BriefScreen = () => (
  <Screen>
    <Begin />
  </Screen>
)

/** Fetches what was kept, and what it says. */
function Begin() {
  const {id = ''} = useParams()
  const {data: draft} = useSuspenseQuery(briefDraft(id))
  const {data: first, error} = useQuery(briefReading(id, draft.source, null))
  // Each draft that comes back is another beginning.
  if (first !== undefined) return <Writing key={draft.version} id={id} draft={draft} begun={first.document} />
  return error === null ? null : <Unreadable id={id} draft={draft} error={error} />
}

type Act = {write: Doc; field?: string} | 'undo' | 'redo'

const turn = (history: History, act: Act): History => {
  if (act === 'undo') return undo(history)
  if (act === 'redo') return redo(history)
  return write(history, act.write, act.field ?? null)
}

/** A brief as sentences, each with what it comes to on a site, changed where it stands. */
function Writing({id, draft, begun}: {id: string; draft: Schemas['BriefDraftView']; begun: Doc}) {
  const {data: work} = useSuspenseQuery(assignment(id))
  const {data: kinds} = useSuspenseQuery(briefKinds)
  const {data: sites} = useSuspenseQuery(trialSites(id))
  const [history, act] = useReducer(turn, begun, beginWith)
  const [open, setOpen] = useState<number | null>(null)
  const [site, setSite] = useState<string | null>(
    sites[0]?.key.startsWith('example:') === true ? null : (sites[0]?.key ?? null),
  )
  const [asYaml, setAsYaml] = useState(false)
  const {doc} = history
  const source = JSON.stringify(doc)
  const {data: reading, error, isPlaceholderData} = useQuery(briefReading(id, source, site))
  const keeping = useKept(id, source, draft)
  const asked = requirementsOf(doc)
  const tried = {assignment: id, site}
  const put = (written: Doc, field?: string) => act(field === undefined ? {write: written} : {write: written, field})
  return (
    <Frame
      steps={[
        {name: work.course, to: `/courses/${work.courseId}`},
        {name: work.title, to: `/assignments/${id}`},
        {name: 'The brief'},
      ]}
      foot={keeping.at === null ? undefined : `kept at ${hour(keeping.at)}`}
    >
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2}}>
        <Typography variant="h1" sx={{flex: 1}}>
          The brief
        </Typography>
        <Button disabled={history.past.length === 0} onClick={() => act('undo')}>
          Undo
        </Button>
        <Button disabled={history.future.length === 0} onClick={() => act('redo')}>
          Redo
        </Button>
        <Button aria-pressed={asYaml} onClick={() => setAsYaml(!asYaml)}>
          {asYaml ? 'Edit as sentences' : 'Edit as YAML'}
        </Button>
      </Box>
      <Box sx={{display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', gap: 2, mb: 2}}>
        <Typography variant="body1" role="status">
          {many(asked.length, 'sentence')}, {many(reading?.points ?? 0, 'point')} in all
          {reading?.awarded !== null &&
            reading?.awarded !== undefined &&
            `; ${reading.awarded} of ${reading.possible ?? 0} here`}
          {(reading?.open ?? 0) > 0 && `, ${notJudged(reading?.open ?? 0)}`}
        </Typography>
        <Typography variant="body2" color="textSecondary">
          Tried on{' '}
          <NativeSelect
            value={site ?? ''}
            onChange={event => setSite(event.target.value === '' ? null : event.target.value)}
            inputProps={{'aria-label': 'Tried on'}}
            sx={{fontSize: 'inherit', maxWidth: '22rem', verticalAlign: 'baseline'}}
          >
            <option value="">nothing yet</option>
            {sites.map(({key, name}) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </NativeSelect>
        </Typography>
      </Box>
      <Box sx={{mb: 2}}>
        <FieldBlanks
          fields={kinds.own}
          values={doc}
          onWrite={(name, value) => act({write: setOwn(doc, name, value), field: `own ${name}`})}
        />
      </Box>
      {keeping.theirs !== null && <TwoAtOnce theirs={keeping.theirs} onMine={keeping.keepMine} />}
      <ErrorText error={keeping.error ?? error} />
      <Box sx={asYaml ? {display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', gap: 4} : undefined}>
        <InOrder
          label="What is asked"
          names={asked.map(({id: name}) => String(name))}
          onMove={(from, to) => {
            act({write: move(doc, from, to - from)})
            setOpen(null)
          }}
        >
          {asked.map((one, at) => (
            <Sentence
              key={String(one.id)}
              at={at}
              asked={one}
              reading={reading?.requirements[at]}
              kinds={kinds}
              names={reading?.names ?? []}
              tried={tried}
              isOpen={open === at}
              onOpen={isOpen => setOpen(isOpen ? at : null)}
              onMove={by => setOpen(at + by)}
              doc={doc}
              onWrite={put}
            />
          ))}
        </InOrder>
        {asYaml && reading !== undefined && (
          <AsYaml
            id={id}
            yaml={reading.yaml}
            problems={reading.problems}
            onRead={document => put(withPencilOf(doc, document), 'yaml')}
          />
        )}
      </Box>
      <AskFor
        id={id}
        kinds={kinds}
        isEmpty={asked.length === 0}
        onAsk={values => {
          act({write: add(doc, values)})
          setOpen(asked.length)
        }}
        onPropose={proposal => act({write: propose(doc, proposal)})}
      />
      <Proposed doc={doc} readings={reading?.proposed ?? []} tried={tried} onWrite={put} />
      <Box component="section" aria-labelledby="marking" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 3}}>
        <Typography variant="h2" id="marking" gutterBottom>
          Deductions and late work
        </Typography>
        <FieldBlanks
          fields={kinds.marking}
          values={markingOf(doc)}
          onWrite={(name, value) => act({write: setMarking(doc, name, value), field: `marking ${name}`})}
        />
      </Box>
      <Silent doc={doc} fields={kinds.ignored} names={reading?.names ?? []} onWrite={put} />
      {sites.some(({key}) => key === 'model') && <ModelFallsShort id={id} doc={doc} />}
      {/* Not what was read before the last change. */}
      <PutInUse
        id={id}
        draft={draft}
        reading={isPlaceholderData ? undefined : reading}
        pencilled={proposedOf(doc).length}
      />
    </Frame>
  )
}

/** The model answer has to meet the brief in full, whatever site it is tried on: if not, one of the two is wrong. */
function ModelFallsShort({id, doc}: {id: string; doc: Doc}) {
  const {data: reading} = useQuery(briefReading(id, JSON.stringify(doc), 'model'))
  const titles = requirementsOf(doc).map(({title, id: name}) => String(title ?? name))
  const short = (reading?.requirements ?? [])
    .map((one, at) => ({...one, title: titles[at] ?? ''}))
    .filter(({outcome}) => outcome === 'unmet' || outcome === 'partly')
  if (short.length === 0) return null
  return (
    <Box role="alert" sx={{borderTop: 1, borderColor: 'desk.fault', pt: 1.5, mt: 3}}>
      <Typography variant="body1" sx={{color: 'desk.fault'}}>
        The model answer does not meet {short.length === 1 ? 'one requirement' : `${short.length} requirements`}. Change
        the brief or the model answer before you use this brief.
      </Typography>
      {short.map(({title, measured, expected}) => (
        <Typography key={title} variant="body2" color="textSecondary" sx={{mt: 0.5}}>
          <strong>{title}</strong>: <Coded>{`${measured} (expected: ${expected})`}</Coded>
        </Typography>
      ))}
    </Box>
  )
}

function TwoAtOnce({theirs, onMine}: {theirs: Schemas['BriefDraftView']; onMine: () => void}) {
  return (
    <Box role="alert" sx={{borderTop: 1, borderBottom: 1, borderColor: 'desk.waits', py: 1.5, my: 2}}>
      <Typography variant="body1">
        {theirs.by ?? 'Somebody else'} has changed this brief{theirs.at === null ? '' : ` (${when(theirs.at)})`}. What
        you wrote is still on this page, and nothing of it is kept until you choose.
      </Typography>
      <Box sx={{display: 'flex', gap: 2, mt: 1}}>
        <Button variant="outlined" onClick={() => location.reload()}>
          Take theirs
        </Button>
        <Button variant="outlined" onClick={onMine}>
          Keep mine in its place
        </Button>
        <Link
          variant="body2"
          sx={{alignSelf: 'center'}}
          href={`data:text/yaml;charset=utf-8,${encodeURIComponent(theirs.source)}`}
          download="theirs.yaml"
        >
          Theirs as a file
        </Link>
      </Box>
    </Box>
  )
}

/** A draft that is no YAML: it can be mended as text. */
function Unreadable({id, draft, error}: {id: string; draft: Schemas['BriefDraftView']; error: Error}) {
  const {data: work} = useSuspenseQuery(assignment(id))
  const [mended, setMended] = useState<Doc | null>(null)
  if (mended !== null) return <Writing id={id} draft={draft} begun={mended} />
  return (
    <Frame steps={[{name: work.title, to: `/assignments/${id}`}, {name: 'The brief'}]}>
      <Typography variant="h1" gutterBottom>
        The brief
      </Typography>
      <ErrorText error={error} />
      <AsYaml id={id} yaml={draft.source} problems={[]} onRead={setMended} />
    </Frame>
  )
}
