import {Box, Link, Typography} from '@mui/material'
import {useState} from 'react'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {CostTag} from '../../ui/CostTag'
import {many} from '../../lib/when'
import {WrongAndRight} from '../../ui/WrongAndRight'

const WORDS = {met: 'done', partly: 'partly done', unmet: 'not done yet', 'not-judged': 'your instructor judges this'}

const COLOURS = {met: 'desk.merit', partly: 'desk.waits', unmet: 'desk.fault', 'not-judged': 'text.secondary'}

/** What a check says, in pencil: nobody has decided anything yet. */
export function CheckPaper({check}: {check: Schemas['MyCheck']}) {
  const files = [...new Set(check.findings.map(({file}) => file))]
  return (
    <Box sx={{bgcolor: 'desk.sheet', border: 1, borderColor: 'divider', p: {xs: 2, sm: 3}, my: 2}}>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        This is what the check says. Your instructor reads your site too, and has the last word.
      </Typography>
      {check.outcomes.map(({title, sentence, outcome, awarded, possible}) => (
        <Box key={title} sx={{py: 0.5}}>
          <Typography variant="body1">
            <Box component="span" sx={{color: COLOURS[outcome], fontWeight: 600}}>
              {WORDS[outcome]}:
            </Box>{' '}
            {title}. <Coded>{sentence}</Coded>
            {awarded !== null && outcome !== 'not-judged' && (
              <Box component="span" sx={{fontWeight: 600}}>
                {' '}
                {awarded} of {many(possible ?? 0, 'point')} so far.
              </Box>
            )}
          </Typography>
        </Box>
      ))}
      {(check.sees === 'all' || check.sees === 'points') && (
        <Typography variant="body1" sx={{mt: 2, fontWeight: 600}}>
          {check.findings.length === 0
            ? 'Nothing else was found. Well done!'
            : `${many(check.findings.length, 'thing')} to look at:`}
        </Typography>
      )}
      {files.map(file => (
        <Box component="section" key={file} aria-label={file === '' ? 'The whole site' : file} sx={{mt: 1.5}}>
          <Typography variant="h3">{file === '' ? 'The whole site' : file}</Typography>
          {check.findings
            .filter(finding => finding.file === file)
            .map(({fingerprint, rule, variant, line, message, remedy, cost: points}) => (
              <Box key={fingerprint} sx={{py: 0.75, color: 'desk.pencil', overflowWrap: 'anywhere'}}>
                <Typography variant="body1" color="inherit">
                  <CostTag points={points} mr={0.75} />
                  {line !== null && `Line ${line}: `}
                  <Coded>{message}</Coded>
                </Typography>
                <Typography variant="body1" sx={{fontStyle: 'italic'}}>
                  <Coded>{remedy}</Coded>
                </Typography>
                <Why teaching={check.teachings.find(one => one.rule === rule && one.variant === variant)} />
              </Box>
            ))}
        </Box>
      ))}
    </Box>
  )
}

/** Why it matters, with an example, for those who ask. */
function Why({teaching}: {teaching: Schemas['Teaching'] | undefined}) {
  const [isOpen, setOpen] = useState(false)
  if (teaching === undefined) return null
  return (
    <>
      <Link
        component="button"
        variant="body2"
        aria-expanded={isOpen}
        sx={{verticalAlign: 'baseline'}}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'Hide the example' : `Why? ${teaching.title}`}
      </Link>
      {isOpen && (
        <Box sx={{my: 1, color: 'text.primary'}}>
          <Typography variant="body1" gutterBottom>
            <Coded>{teaching.why}</Coded>
          </Typography>
          <WrongAndRight bad={teaching.bad} good={teaching.good} />
        </Box>
      )}
    </>
  )
}
