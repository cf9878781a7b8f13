import {Box, Link, NativeSelect, Typography} from '@mui/material'
import {useQuery, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {useNavigate} from 'react-router'
import type {Schemas} from '../../../../lib/schemas'
import {comparedAttempts} from '../../../../api/desk'
import {source} from '../../../../api/sites'
import {Coded} from '../../../../ui/Coded'
import {Differences} from '../../../../ui/Differences'
import {ProofMark} from '../../../../ui/ProofMark'
import {Empty} from '../../../../ui/Remark'
import {RuledTable} from '../../../../ui/RuledTable'
import {many, when} from '../../../../lib/when'
import {useDesk} from '../../deskState'
import {SideColumn} from '../../SideColumn'
import {SiteSheet} from '../SiteSheet'

/** What was mended since an earlier attempt, what is still there, and what is new. */
export function AttemptsView() {
  const {desk} = useDesk()
  return (
    <Box sx={{height: '100%', minHeight: 0, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 18rem'}}>
      <SiteSheet name="Attempts">
        <Box sx={{px: 4, py: 3}}>
          {desk.attempts.length < 2 ? (
            <Empty>This is the only attempt. When the student hands in again, what was mended is shown here.</Empty>
          ) : (
            <Compared />
          )}
        </Box>
      </SiteSheet>
      <SideColumn />
    </Box>
  )
}

function Compared() {
  const {desk} = useDesk()
  const isFirst = desk.attempts[0]?.id === desk.id
  const [against, setAgainst] = useState<number | null>(isFirst ? (desk.attempts[1]?.attempt ?? null) : null)
  const {data} = useSuspenseQuery(comparedAttempts(desk.id, against))
  const {before} = data
  return (
    <>
      <Typography variant="h2" gutterBottom>
        Attempt {desk.attempt} beside{' '}
        {desk.attempts.length === 2 ? (
          `attempt ${before.attempt}`
        ) : (
          <NativeSelect
            value={before.attempt}
            onChange={event => setAgainst(Number(event.target.value))}
            inputProps={{'aria-label': 'which it is held against'}}
            sx={{font: 'inherit'}}
          >
            {desk.attempts
              .filter(one => one.id !== desk.id)
              .map(({attempt}) => (
                <option key={attempt} value={attempt}>
                  attempt {attempt}
                </option>
              ))}
          </NativeSelect>
        )}
      </Typography>
      <Typography variant="body1" sx={{mb: 2}}>
        {inShort(data)} The other came {when(before.arrivedAt)}.
      </Typography>
      <Found title="Mended" findings={data.mended} from={before} isGone />
      <Found title="Still there" findings={data.still} from={null} />
      <Found title="New" findings={data.fresh} from={null} />
      <Points points={data.points} before={before.attempt} />
      <Files files={data.files} before={before} />
    </>
  )
}

/** How it went, in a sentence. */
export function inShort({
  mended,
  still,
  fresh,
  awardedBefore,
  awardedNow,
}: Pick<Schemas['ComparedAttempts'], 'mended' | 'still' | 'fresh' | 'awardedBefore' | 'awardedNow'>): string {
  const points =
    awardedBefore === null || awardedNow === null
      ? ''
      : ` ${many(awardedNow, 'point')} now, ${awardedBefore} then, as computed.`
  return `${mended.length} mended, ${still.length} still there, ${fresh.length} new.${points}`
}

function Found({
  title,
  findings,
  from,
  isGone = false,
}: {
  title: string
  findings: Schemas['AttemptFinding'][]
  /** the attempt that they are of, where it is another one */
  from: Schemas['AttemptLine'] | null
  isGone?: boolean
}) {
  const {go} = useDesk()
  const navigate = useNavigate()
  const [isWhole, setWhole] = useState(false)
  if (findings.length === 0) return null
  const shown = isWhole ? findings : findings.slice(0, MAX_SHOWN)
  const open = ({file, line, fingerprint}: Schemas['AttemptFinding']) => {
    if (from === null) {
      go({leaf: file, view: 'source', line, mark: fingerprint})
      return
    }
    const place = new URLSearchParams({leaf: file, view: 'source', mark: fingerprint})
    void navigate(`/hand-ins/${from.id}?${place.toString()}`)
  }
  return (
    <Box component="section" aria-label={title} sx={{mb: 3}}>
      <Typography variant="h3" component="h3" gutterBottom>
        {title}, {findings.length}
      </Typography>
      {shown.map(one => (
        <Box
          key={one.fingerprint}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1.4rem minmax(0, 14rem) minmax(0, 1fr)',
            gap: 1,
            py: 0.4,
            alignItems: 'baseline',
          }}
        >
          <Box sx={{color: isGone ? 'text.secondary' : 'desk.pencil'}}>
            <ProofMark mark={one.mark} weight={one.weight} />
          </Box>
          <Typography variant="body2" noWrap>
            <Link component="button" variant="body2" onClick={() => open(one)}>
              {one.file}
              {one.line === null ? '' : `, line ${one.line}`}
            </Link>
          </Typography>
          <Typography
            variant="body2"
            sx={isGone ? {textDecoration: 'line-through', color: 'text.secondary'} : {overflowWrap: 'anywhere'}}
          >
            <Coded>{one.message}</Coded>
          </Typography>
        </Box>
      ))}
      {findings.length > shown.length && (
        <Link component="button" variant="body2" underline="always" onClick={() => setWhole(true)}>
          and {findings.length - shown.length} more
        </Link>
      )}
    </Box>
  )
}

/** So many of a list are shown at first. */
const MAX_SHOWN = 12

function Points({points, before}: {points: Schemas['AttemptPoints'][]; before: number}) {
  const changed = points.filter(one => one.before !== one.now)
  if (changed.length === 0) return null
  return (
    <Box component="section" aria-label="Points then and now" sx={{mb: 3}}>
      <Typography variant="h3" gutterBottom>
        Points then and now
      </Typography>
      <RuledTable caption="Points then and now" heads={['Requirement', `Attempt ${before}`, 'Now', 'Of']}>
        {changed.map(one => (
          <tr key={one.title}>
            <th scope="row">{one.title}</th>
            <td>{one.before ?? 'not asked'}</td>
            <td>
              <b>{one.now}</b>
            </td>
            <td>{one.possible}</td>
          </tr>
        ))}
      </RuledTable>
    </Box>
  )
}

function Files({files, before}: {files: Schemas['AttemptFile'][]; before: Schemas['AttemptLine']}) {
  const [open, setOpen] = useState<string | null>(null)
  const changed = files.filter(({change}) => change !== 'same')
  const same = files.length - changed.length
  return (
    <Box component="section" aria-label="Files then and now">
      <Typography variant="h3" gutterBottom>
        Files then and now
      </Typography>
      {changed.length === 0 && <Empty>All {files.length} files are the same, byte for byte.</Empty>}
      {changed.map(({path, kind, change}) => (
        <Box key={path} sx={{borderTop: 1, borderColor: 'desk.rule', py: 0.5}}>
          <Typography variant="body2" sx={{overflowWrap: 'anywhere'}}>
            {change === 'changed' && kind !== 'picture' ? (
              <Link
                component="button"
                variant="body2"
                aria-expanded={open === path}
                onClick={() => setOpen(open === path ? null : path)}
              >
                {path}
              </Link>
            ) : (
              path
            )}
            , {change}
          </Typography>
          {open === path && <Changed path={path} before={before} />}
        </Box>
      ))}
      {changed.length > 0 && same > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{pt: 0.5}}>
          {many(same, 'other')} the same.
        </Typography>
      )}
    </Box>
  )
}

function Changed({path, before}: {path: string; before: Schemas['AttemptLine']}) {
  const {desk} = useDesk()
  const then = useQuery(source({handIn: before.id}, path))
  const now = useQuery(source({handIn: desk.id}, path))
  const error = then.error ?? now.error
  if (error !== null) return <Typography variant="body2">{error.message}</Typography>
  if (then.data === undefined || now.data === undefined) return <Typography variant="body2">Looking…</Typography>
  return <Differences before={then.data.text} now={now.data.text} name={path} />
}
