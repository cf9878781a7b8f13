import {Box, Link, Typography} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {Fragment} from 'react'
import type {Schemas} from '../../lib/schemas'
import {outbox} from '../../api/account'
import {Frame} from '../frame/Frame'
import {Empty} from '../../ui/Remark'
import {when} from '../../lib/when'
import {Screen} from '../frame/Screen'

export const Outbox = () => (
  <Screen>
    <OutboxScreen />
  </Screen>
)

/** Letters that would have been sent, for whoever runs the installation. */
function OutboxScreen() {
  const {data} = useSuspenseQuery(outbox)
  return (
    <Frame steps={[{name: 'You', to: '/me'}, {name: 'Outbox'}]}>
      <Typography variant="h1">The outbox</Typography>
      <Typography variant="body1" color="textSecondary" sx={{mb: 3, maxWidth: 620}}>
        While no mail server is set, letters are kept here for 30 days and nobody gets them. The links in them work:
        pass them on yourself. <code>docs/running.md</code> says how to set a mail server.
      </Typography>
      {data.length === 0 && <Empty>Nothing was sent yet.</Empty>}
      {data.map(letter => (
        <Letter key={letter.id} letter={letter} />
      ))}
    </Frame>
  )
}

const ADDRESS = /(https?:\/\/\S+)/

function Letter({letter}: {letter: Schemas['LetterView']}) {
  return (
    <Box component="article" aria-label={letter.subject} sx={{borderTop: 1, borderColor: 'divider', py: 2}}>
      <Typography variant="h3">{letter.subject}</Typography>
      <Typography variant="body2" color="textSecondary" gutterBottom>
        To {letter.to}, {when(letter.at)}
      </Typography>
      <Typography variant="body1" sx={{whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', maxWidth: 680}}>
        {letter.body
          .trim()
          .split(ADDRESS)
          .map((part, at) => (
            <Fragment key={at}>
              {ADDRESS.test(part) ? (
                <Link underline="always" href={part}>
                  {part}
                </Link>
              ) : (
                part
              )}
            </Fragment>
          ))}
      </Typography>
    </Box>
  )
}
