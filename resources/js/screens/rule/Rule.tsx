import {Box, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useParams} from 'react-router'
import {rule} from '../../api/queries'
import {Coded} from '../../parts/Coded'
import {Frame} from '../../parts/Frame'
import {ProofMark} from '../../parts/ProofMark'
import {mono} from '../../theme/theme'
import {Screen} from '../Screen'

export const Rule = () => (
  <Screen>
    <RuleScreen />
  </Screen>
)

const WEIGHTS = {
  fault: 'Fault: the site or page is broken.',
  departure: 'Departure: it works, but is not what the brief or the standard says.',
  tidy: 'Tidy: advice.',
}

/** A rule of the check with its examples, as the catalogue prints it. */
function RuleScreen() {
  const {group = '', name = ''} = useParams()
  const {data} = useSuspenseQuery(rule(`${group}/${name}`))
  return (
    <Frame steps={[{name: data.id}]}>
      <Typography variant="h1" sx={{fontSize: '1.5rem'}}>
        {data.id}
      </Typography>
      <Box sx={{display: 'flex', gap: 1.5, alignItems: 'center', mb: 3, color: 'desk.pencil'}}>
        <ProofMark mark={data.mark} weight={data.weight} />
        <div>
          <Typography variant="body1" sx={{color: 'text.primary'}}>
            <Coded>{data.summary}</Coded>
          </Typography>
          <Typography variant="body2" color="textSecondary">
            {WEIGHTS[data.weight]}
          </Typography>
        </div>
      </Box>
      {data.examples.map((example, at) => (
        <Box key={at} component="section" sx={{borderTop: 1, borderColor: 'divider', py: 2}}>
          {example.variant !== '' && <Typography variant="h3">{example.variant}</Typography>}
          <Box sx={{display: 'grid', gridTemplateColumns: {md: '1fr 1fr'}, gap: 3}}>
            <Code title="What it finds" text={example.bad} />
            <Code title="How it should be" text={example.good} />
          </Box>
          <Typography variant="body1" sx={{mt: 1, color: 'desk.ink'}}>
            <Coded>{example.says}</Coded>
          </Typography>
        </Box>
      ))}
    </Frame>
  )
}

function Code({title, text}: {title: string; text: string}) {
  return (
    <Box sx={{minWidth: 0}}>
      <Typography variant="body2" color="textSecondary">
        {title}
      </Typography>
      <Box
        component="pre"
        sx={{fontFamily: mono, fontSize: 12.5, lineHeight: 1.6, whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', m: 0}}
      >
        {text}
      </Box>
    </Box>
  )
}
