import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useParams} from 'react-router'
import {rule} from '../../api/search'
import {Coded} from '../../ui/Coded'
import {Frame} from '../frame/Frame'
import {ProofMark} from '../../ui/ProofMark'
import {WrongAndRight} from '../../ui/WrongAndRight'
import {Screen} from '../frame/Screen'

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

/** A rule of the check: what it finds, why that matters, where it comes from, and examples. */
function RuleScreen() {
  const {group = '', name = ''} = useParams()
  const {data} = useSuspenseQuery(rule(`${group}/${name}`))
  return (
    <Frame steps={[{name: data.title}]}>
      <Typography variant="h1" gutterBottom sx={{fontSize: '1.5rem'}}>
        {data.title}
      </Typography>
      <Box sx={{display: 'flex', gap: 1.5, alignItems: 'flex-start', mb: 2, color: 'desk.pencil'}}>
        <ProofMark mark={data.mark} weight={data.weight} />
        <div>
          <Typography variant="body1" sx={{color: 'text.primary'}}>
            <Coded>{data.summary}</Coded>
          </Typography>
          <Typography variant="body2" color="textSecondary">
            {WEIGHTS[data.weight]} Rule <code>{data.id}</code>.
          </Typography>
        </div>
      </Box>
      <Typography variant="h2" gutterBottom>
        Why it matters
      </Typography>
      <Typography variant="body1" sx={{maxWidth: '70ch'}}>
        <Coded>{data.why}</Coded>
      </Typography>
      <Typography variant="body2" color="textSecondary" sx={{mt: 0.5, mb: 3}}>
        Source:{' '}
        {data.sourceUrl === null ? (
          data.source
        ) : (
          <Link href={data.sourceUrl} target="_blank" rel="noopener noreferrer">
            {data.source}
          </Link>
        )}
      </Typography>
      <Typography variant="h2" gutterBottom>
        Examples
      </Typography>
      {data.examples.map((example, at) => (
        <Box key={at} component="section" sx={{borderTop: 1, borderColor: 'divider', py: 2}}>
          {example.variant !== '' && <Typography variant="h3">{capitalized(example.variant)}</Typography>}
          {example.asked !== null && (
            <Typography variant="body2" color="textSecondary" sx={{mb: 1}}>
              The brief asks: <Coded>{example.asked}</Coded>
            </Typography>
          )}
          <WrongAndRight bad={example.bad} good={example.good} />
          <Typography variant="body1" sx={{mt: 1.5, color: 'desk.ink'}}>
            <Coded>{example.says}</Coded>
          </Typography>
        </Box>
      ))}
    </Frame>
  )
}

const capitalized = (variant: string) => variant.charAt(0).toUpperCase() + variant.slice(1).replaceAll('-', ' ')
