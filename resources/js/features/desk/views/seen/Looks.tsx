import {Box, Button, Link, Typography} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {looks} from '../../../../api/sites'
import type {Schemas} from '../../../../lib/schemas'
import {ErrorText} from '../../../../ui/Remark'
import {mono} from '../../../../ui/theme'

type Look = Schemas['ElementLook']
type Said = Schemas['DeclarationPlace']
type Step = Schemas['ElementStep']
type OnLine = (path: string, line: number) => void

/** What the element that is pointed at looks like, in sentences, with where each of it was decided. */
export function Looks({
  handIn,
  leaf,
  at,
  onPoint,
  onLine,
}: {
  handIn: string
  leaf: string
  at: string
  onPoint: (at: string) => void
  onLine: OnLine
}) {
  const {data, error} = useQuery(looks(handIn, leaf, at))
  return (
    <Box
      component="section"
      aria-label="The element pointed at"
      sx={{
        borderLeft: 1,
        borderColor: 'divider',
        bgcolor: 'desk.sheet',
        minHeight: 0,
        overflow: 'auto',
        px: 2.5,
        py: 2,
      }}
    >
      <ErrorText error={error} />
      {data === undefined && error === null && (
        <Typography variant="body2" color="textSecondary">
          Looking…
        </Typography>
      )}
      {data !== undefined && (
        <>
          <Typography
            variant="h2"
            aria-live="polite"
            sx={{fontFamily: mono, fontSize: '0.95rem', overflowWrap: 'anywhere', mb: 0.5}}
          >
            {data.tag}
          </Typography>
          <Typography variant="body2" color="textSecondary">
            <Link component="button" onClick={() => onLine(leaf, data.line)}>
              Line {data.line}
            </Link>
            {data.contrast !== null && `. Its text: ${data.contrast}.`}
          </Typography>
          <Box
            component="nav"
            aria-label="Elements near it"
            sx={{display: 'flex', flexWrap: 'wrap', gap: 0.5, my: 1, ml: -1}}
          >
            <StepTo name="Around it" step={data.around} onPoint={onPoint} />
            <StepTo name="Inside" step={data.inside} onPoint={onPoint} />
            <StepTo name="Before" step={data.before} onPoint={onPoint} />
            <StepTo name="After" step={data.after} onPoint={onPoint} />
          </Box>
          {/* Whatever the page is shown in beside it. */}
          <Typography variant="body2" color="textSecondary" sx={{mb: 1}}>
            In its own styles:
          </Typography>
          <Box component="ul" sx={{listStyle: 'none', m: 0, p: 0}}>
            {data.looks.map(look => (
              <Sentence key={look.name} look={look} onLine={onLine} />
            ))}
          </Box>
        </>
      )}
    </Box>
  )
}

function StepTo({name, step, onPoint}: {name: string; step: Step | null; onPoint: (at: string) => void}) {
  return (
    <Button size="small" disabled={step === null} title={step?.tag} onClick={() => step !== null && onPoint(step.at)}>
      {name}
    </Button>
  )
}

function Sentence({look, onLine}: {look: Look; onLine: OnLine}) {
  return (
    <Box component="li" sx={{mb: 1.25}}>
      <Typography variant="body2">
        {look.name}{' '}
        {look.colour !== null && (
          <Box
            component="span"
            aria-hidden
            style={{backgroundColor: look.colour}}
            sx={{
              display: 'inline-block',
              width: '0.9em',
              height: '0.9em',
              border: 1,
              borderColor: 'text.secondary',
              verticalAlign: '-0.1em',
              mr: 0.5,
            }}
          />
        )}
        <strong>{look.value}</strong>
        {look.from === null ? ', the browser’s own.' : <From said={look.from} look={look} onLine={onLine} />}
      </Typography>
      {look.lost.map((said, index) => (
        <Typography key={index} variant="body2" color="textSecondary">
          <s>{said.value}</s>
          {' in '}
          <Place said={said} onLine={onLine} />
        </Typography>
      ))}
    </Box>
  )
}

function From({said, look, onLine}: {said: Said; look: Look; onLine: OnLine}) {
  return (
    <>
      , from <Place said={said} onLine={onLine} />
      {look.inherited !== null && `, inherited from ${look.inherited}`}.
    </>
  )
}

function Place({said, onLine}: {said: Said; onLine: OnLine}) {
  return (
    <>
      <Link component="button" onClick={() => onLine(said.path, said.line)} sx={{verticalAlign: 'baseline'}}>
        {said.path}, line {said.line}
      </Link>{' '}
      <Box component="span" sx={{fontFamily: mono, fontSize: '0.85em', overflowWrap: 'anywhere'}}>
        {said.selector}
      </Box>
    </>
  )
}
