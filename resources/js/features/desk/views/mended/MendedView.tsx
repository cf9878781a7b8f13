import {Box, Button, Checkbox, FormControlLabel, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useRef, useState} from 'react'
import {api, unwrap} from '../../../../api/client'
import type {Schemas} from '../../../../lib/schemas'
import {mendedCopy} from '../../../../api/desk'
import {isText} from '../../../../api/sites'
import {useKeys} from '../../../../ui/keys'
import {Empty, ErrorText} from '../../../../ui/Remark'
import {titleOf} from '../../../../lib/rules'
import {hour, many} from '../../../../lib/when'
import {useDesk} from '../../deskState'
import {SourceView} from '../source/SourceView'
import {Editor, type EditorHandle} from './Editor'
import {editsOfKind, type Edit} from './edits'
import {Findings} from './Findings'
import {useMended} from './useMended'

/** A copy of the leaf as the instructor would have it. What was handed in stays as it is. */
export function MendedView() {
  const {desk, leaf} = useDesk()
  const there = desk.leaves.find(one => one.path === leaf)
  return isText(there) ? <Mended key={leaf} /> : <SourceView />
}

function Mended() {
  const {desk, leaf} = useDesk()
  const {data} = useSuspenseQuery(mendedCopy(desk.id, leaf))
  if (data.refusal !== null)
    return (
      <Box sx={{p: 4, bgcolor: 'desk.sheet', height: '100%'}}>
        <Empty>{data.refusal}</Empty>
      </Box>
    )
  return <Mending copy={data} />
}

function Mending({copy}: {copy: Schemas['MendedCopyView']}) {
  const {desk, leaf, margin, current} = useDesk()
  const {found} = margin
  const {first, text, check, isKept, type, say, keep, error} = useMended(desk.id, leaf, copy)
  const editor = useRef<EditorHandle>(null)
  const [asDifferences, setAsDifferences] = useState(false)
  const [previewed, setPreviewed] = useState<string | null>(null)
  const take = (edits: Edit[], words: string) => {
    say(words)
    editor.current?.take(edits)
    setPreviewed(null)
  }
  const meant = check?.findings.find(one => one.fingerprint === current)
  useKeys([
    {key: 'd', does: asDifferences ? 'as it is' : 'as differences', run: () => setAsDifferences(!asDifferences)},
    {
      key: 'v',
      does: 'look at the mend',
      run: () => setPreviewed(previewed === null ? (meant?.fingerprint ?? null) : null),
    },
    {
      key: 'g',
      does: 'take the mend',
      run: () => {
        if (meant !== undefined && meant.edits.length > 0) take(meant.edits, titleOf(meant.rule))
      },
    },
    {
      key: 'G',
      does: 'take all of its kind',
      run: () => {
        if (meant === undefined || check === null) return
        take(editsOfKind(check.findings, meant), `all of “${titleOf(meant.rule)}”`)
      },
    },
  ])
  const kind = desk.leaves.find(one => one.path === leaf)?.kind ?? 'page'
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 22rem'}}>
      <Box sx={{display: 'flex', flexDirection: 'column', minHeight: 0, bgcolor: 'desk.sheet'}}>
        <Box
          sx={{
            display: 'flex',
            gap: 1.5,
            alignItems: 'center',
            px: 2,
            py: 0.5,
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <Typography variant="body2" color="textSecondary" sx={{flex: 1}} role="status">
            {text === copy.original
              ? 'A copy of the page. Type in it; the student’s own stays as it is.'
              : isKept
                ? `Kept at ${hour(new Date(copy.steps.at(-1)?.at ?? ''))}.`
                : 'Not kept yet; it will be in a moment.'}
          </Typography>
          <Button aria-pressed={asDifferences} onClick={() => setAsDifferences(!asDifferences)}>
            {asDifferences ? 'As it is' : 'As differences'}
          </Button>
          <Button variant="contained" disabled={isKept} onClick={keep}>
            Keep
          </Button>
        </Box>
        <ErrorText error={error} />
        <Box
          tabIndex={0}
          role="region"
          aria-label={`Mended copy of ${leaf}`}
          sx={{flex: 1, minHeight: 0, overflow: 'auto'}}
        >
          <Editor
            ref={editor}
            name={leaf}
            kind={kind}
            first={first}
            original={copy.original}
            asDifferences={asDifferences}
            findings={check?.findings ?? NOTHING}
            onText={type}
            onKeep={keep}
          />
        </Box>
      </Box>
      <Box
        sx={{
          borderLeft: 1,
          borderColor: 'divider',
          bgcolor: 'desk.sheet',
          minHeight: 0,
          overflow: 'auto',
          px: 2,
          py: 1,
        }}
      >
        {check === null ? (
          <Typography variant="body2" color="textSecondary">
            Checking…
          </Typography>
        ) : (
          <>
            <Typography variant="h3" component="h2" aria-live="polite">
              {inShort(check)}
            </Typography>
            <Typography variant="body2" color="textSecondary" sx={{mb: 1}}>
              {check.awarded} of {many(check.possible, 'point')} with this page mended.{elsewhere(check)}
            </Typography>
            <Uses copy={copy} />
            <Findings
              check={check}
              text={text}
              found={found}
              current={current}
              previewed={previewed}
              onPreview={setPreviewed}
              onShow={({from, to}) => editor.current?.show(from, to)}
              onTake={take}
            />
          </>
        )}
        <Steps
          copy={copy}
          onBack={(to, words) => {
            say(words)
            editor.current?.replace(to)
          }}
        />
      </Box>
    </Box>
  )
}

const NOTHING: Schemas['MendedFinding'][] = []

/** How much is gone, and what is left. */
export function inShort({findings, gone}: Pick<Schemas['MendedCheck'], 'findings' | 'gone'>): string {
  const fresh = findings.filter(one => one.fresh).length
  const still = findings.length - fresh
  if (findings.length === 0) return gone.length === 0 ? 'Nothing is found on it' : `All ${gone.length} are gone`
  if (gone.length + fresh === 0) return `${many(still, 'finding')} on it`
  return `${gone.length} gone, ${still} still there${fresh === 0 ? '' : `, ${fresh} new`}`
}

const elsewhere = ({goneElsewhere, freshElsewhere}: Schemas['MendedCheck']) =>
  goneElsewhere + freshElsewhere === 0
    ? ''
    : ` On other leaves ${[goneElsewhere > 0 ? `${goneElsewhere} go` : '', freshElsewhere > 0 ? `${freshElsewhere} come` : ''].filter(words => words !== '').join(', ')}.`

/** Whether the student gets it, once there is one. */
function Uses({copy}: {copy: Schemas['MendedCopyView']}) {
  const {desk, leaf} = useDesk()
  const queries = useQueryClient()
  const {queryKey} = mendedCopy(desk.id, leaf)
  const use = useMutation({
    mutationFn: (body: {inReply: boolean; follow: boolean}) =>
      unwrap(api.PATCH('/api/hand-ins/{handIn}/mended/{path}', {params: {path: {handIn: desk.id, path: leaf}}, body})),
    onSuccess: (_data, body) => queries.setQueryData(queryKey, old => old && {...old, ...body}),
  })
  const {inReply, follow} = use.isPending ? use.variables : copy
  if (copy.steps.length === 0) return null
  return (
    <Box sx={{mb: 1}}>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            sx={{py: 0.25}}
            checked={inReply}
            onChange={(_event, to) => use.mutate({inReply: to, follow: to && follow})}
          />
        }
        label={<Typography variant="body2">What differs is in the reply</Typography>}
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            sx={{py: 0.25}}
            checked={follow}
            onChange={(_event, to) => use.mutate({inReply: to || inReply, follow: to})}
          />
        }
        label={<Typography variant="body2">The page to follow for the rest</Typography>}
      />
      <ErrorText error={use.error} />
    </Box>
  )
}

/** How it came to be, and a way back to each step. */
function Steps({copy, onBack}: {copy: Schemas['MendedCopyView']; onBack: (text: string, words: string) => void}) {
  const {desk, leaf} = useDesk()
  const back = useMutation({
    mutationFn: (number: number) =>
      unwrap(
        api.GET('/api/hand-ins/{handIn}/mended-steps/{number}/{path}', {
          params: {path: {handIn: desk.id, number: String(number), path: leaf}},
        }),
      ),
    onSuccess: ({text}, number) => onBack(text, number === 0 ? 'back to the original' : `back to step ${number}`),
  })
  if (copy.steps.length === 0) return null
  const steps = [...copy.steps].reverse()
  return (
    <Box component="section" aria-label="Steps" sx={{mt: 2}}>
      <Typography variant="h3" gutterBottom>
        Steps
      </Typography>
      {steps.slice(0, MAX_STEPS).map((step, at) => (
        <Typography key={step.number} variant="body2" color="textSecondary">
          {step.number}. {step.words}, {step.by}, {hour(new Date(step.at))}{' '}
          {at > 0 && (
            <Link component="button" variant="body2" underline="always" onClick={() => back.mutate(step.number)}>
              Back to it
            </Link>
          )}
        </Typography>
      ))}
      {copy.text !== copy.original && (
        <Typography variant="body2" color="textSecondary">
          The original{' '}
          <Link component="button" variant="body2" underline="always" onClick={() => back.mutate(0)}>
            Back to it
          </Link>
        </Typography>
      )}
      <ErrorText error={back.error} />
    </Box>
  )
}

const MAX_STEPS = 12
