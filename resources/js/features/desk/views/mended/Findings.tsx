import {Box, Button, Link, Typography} from '@mui/material'
import {useState} from 'react'
import type {Schemas} from '../../../../lib/schemas'
import {Coded} from '../../../../ui/Coded'
import {ProofMark} from '../../../../ui/ProofMark'
import {titleOf} from '../../../../lib/rules'
import {mono} from '../../../../ui/theme'
import type {Finding} from '../../margin/marks'
import {editsOfKind, shownAsLines, type Edit, type MendedFinding} from './edits'

/** What the check says of the copy: what is new, what is still there, and, struck, what is gone. */
export function Findings({
  check,
  text,
  found,
  current,
  previewed,
  onPreview,
  onShow,
  onTake,
}: {
  check: Schemas['MendedCheck']
  text: string
  /** on the original */
  found: Finding[]
  current: string | null
  /** the finding of which the mend is shown */
  previewed: string | null
  onPreview: (fingerprint: string | null) => void
  onShow: (finding: MendedFinding) => void
  onTake: (edits: Edit[], words: string) => void
}) {
  const gone = found.filter(one => check.gone.includes(one.fingerprint))
  const sorted = [...check.findings].sort((a, b) => Number(b.fresh) - Number(a.fresh) || a.from - b.from)
  return (
    <Box component="ul" aria-label="What the check says of the copy" sx={{listStyle: 'none', m: 0, p: 0}}>
      {sorted.slice(0, MAX_SHOWN).map((one, at) => (
        <One
          key={`${one.fingerprint} ${at}`}
          finding={one}
          isCurrent={one.fingerprint === current}
          isPreviewed={one.fingerprint === previewed}
          ofKind={editsOfKind(check.findings, one)}
          text={text}
          onPreview={onPreview}
          onShow={onShow}
          onTake={onTake}
        />
      ))}
      {sorted.length > MAX_SHOWN && (
        <Typography component="li" variant="body2" color="textSecondary">
          and {sorted.length - MAX_SHOWN} more
        </Typography>
      )}
      {gone.map(one => (
        <Typography
          component="li"
          key={one.fingerprint}
          variant="body2"
          sx={{color: 'text.secondary', py: 0.5, overflowWrap: 'anywhere'}}
        >
          <s>
            <Coded>{one.message}</Coded>
          </s>{' '}
          <span className="unseen">gone</span>
        </Typography>
      ))}
    </Box>
  )
}

const MAX_SHOWN = 60

function One({
  finding,
  isCurrent,
  isPreviewed,
  ofKind,
  text,
  onPreview,
  onShow,
  onTake,
}: {
  finding: MendedFinding
  isCurrent: boolean
  isPreviewed: boolean
  ofKind: Edit[]
  text: string
  onPreview: (fingerprint: string | null) => void
  onShow: (finding: MendedFinding) => void
  onTake: (edits: Edit[], words: string) => void
}) {
  const isMany = ofKind.length > finding.edits.length
  return (
    <Box
      component="li"
      sx={{
        py: 0.75,
        borderBottom: 1,
        borderColor: 'desk.rule',
        borderLeft: '2px solid',
        borderLeftColor: isCurrent ? 'desk.ink' : 'transparent',
        pl: 1,
        ml: -1,
        color: finding.fresh ? 'desk.fault' : 'desk.pencil',
      }}
    >
      <Box sx={{display: 'flex', gap: 1, alignItems: 'center'}}>
        <ProofMark mark={finding.mark} weight={finding.weight} />
        <Typography variant="body2" sx={{flex: 1, fontWeight: finding.fresh ? 700 : 400}}>
          {finding.fresh ? 'new' : 'still there'},{' '}
          <Link component="button" variant="body2" sx={{verticalAlign: 'baseline'}} onClick={() => onShow(finding)}>
            line {finding.line}
          </Link>
        </Typography>
      </Box>
      <Typography variant="body2" sx={{overflowWrap: 'anywhere'}}>
        <Coded>{finding.message}</Coded>
      </Typography>
      {finding.edits.length === 0 && (
        <Typography variant="body2" sx={{overflowWrap: 'anywhere', fontStyle: 'italic'}}>
          <Coded>{finding.remedy}</Coded>
        </Typography>
      )}
      {finding.edits.length > 0 && (
        <Box sx={{display: 'flex', gap: 0.5, flexWrap: 'wrap', mt: 0.25, ml: -0.75}}>
          <Button onClick={() => onTake(finding.edits, titleOf(finding.rule))}>Mend</Button>
          {isMany && (
            <Button onClick={() => onTake(ofKind, `all of “${titleOf(finding.rule)}”`)}>Mend all of this kind</Button>
          )}
          <Button aria-expanded={isPreviewed} onClick={() => onPreview(isPreviewed ? null : finding.fingerprint)}>
            {isPreviewed ? 'Hide' : 'Look first'}
          </Button>
        </Box>
      )}
      {isPreviewed && <AsLines text={text} edits={finding.edits} />}
    </Box>
  )
}

/** The lines of a mend, as they are and as they would be. */
function AsLines({text, edits}: {text: string; edits: Edit[]}) {
  const [{line, before, after}] = useState(() => shownAsLines(text, edits))
  return (
    <Box
      component="pre"
      aria-label={`What it would be, from line ${line}`}
      sx={{
        fontFamily: mono,
        fontSize: 12,
        lineHeight: 1.5,
        m: 0,
        mt: 0.5,
        whiteSpace: 'pre-wrap',
        overflowWrap: 'anywhere',
      }}
    >
      {before.map((one, at) => (
        <Box key={`b${at}`} component="del" sx={{display: 'block', color: 'desk.pencil'}}>
          {one}
        </Box>
      ))}
      {after.map((one, at) => (
        <Box
          key={`a${at}`}
          component="ins"
          sx={{display: 'block', color: 'desk.ink', textDecoration: 'none', fontWeight: 700}}
        >
          {one}
        </Box>
      ))}
    </Box>
  )
}
