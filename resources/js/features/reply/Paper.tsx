import {Box, Typography} from '@mui/material'
import type {ReactNode} from 'react'
import type {Schemas} from '../../lib/schemas'
import {Coded} from '../../ui/Coded'
import {cost, notJudged} from '../../lib/cost'
import {ProofMark} from '../../ui/ProofMark'
import {Quoted} from '../../ui/Quoted'
import {Empty} from '../../ui/Remark'
import {many, when} from '../../lib/when'
import {mono} from '../../ui/theme'
import {meritsOf, noteOf, openOf, pointsOf, remarksOf} from './content'

/** Exactly what the student reads. */
export function Paper({content}: {content: Schemas['ReplyContent']}) {
  const merits = meritsOf(content)
  return (
    <Box
      component="article"
      sx={{
        bgcolor: 'desk.sheet',
        border: 1,
        borderColor: 'divider',
        px: {xs: 2.5, md: 7},
        py: {xs: 3, md: 5},
        maxWidth: 780,
        mx: 'auto',
        '@media print': {border: 0, p: 0, maxWidth: 'none'},
      }}
    >
      <Typography variant="h1">{content.assignment}</Typography>
      <Typography variant="body2" color="textSecondary" sx={{mb: 3}}>
        {content.student}, {content.course}, attempt {content.attempt}
      </Typography>
      <Words item={content.opening} />
      {content.pages.length === 0 && content.opening === null && (
        <Empty>No remarks yet: the points are all there is to read.</Empty>
      )}
      {content.supersedes !== null && <Changed since={content.supersedes} />}
      {merits.length > 0 && (
        <Part title="Well done">
          {merits.map(({file, item}, index) => (
            <Item key={index} item={item} file={file} />
          ))}
        </Part>
      )}
      {content.points.length > 0 && <Points content={content} />}
      {remarksOf(content).map(page => (
        <Part key={page.file} title={page.file === '' ? 'The whole hand-in' : page.file}>
          {page.items.map((item, index) => (
            <Item key={index} item={item} />
          ))}
        </Part>
      ))}
      {content.mended.map(page => (
        <Mended key={page.file} page={page} />
      ))}
      <Words item={content.closing} />
    </Box>
  )
}

function Part({title, children}: {title: string; children: ReactNode}) {
  return (
    <Box component="section" sx={{mb: 3}}>
      <Typography variant="h2" sx={{borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1, breakAfter: 'avoid'}}>
        {title}
      </Typography>
      {children}
    </Box>
  )
}

const CHANGED = {added: 'Added', 'taken out': 'Taken out', points: 'Points'} as const

/** What is otherwise than in the reply that this one takes the place of. */
function Changed({since}: {since: Schemas['Superseded']}) {
  return (
    <Part title={`Changed since the reply of ${when(since.at)}`}>
      <Box component="ul" sx={{m: 0, pl: 2.5}}>
        {since.changes.map((change, index) => (
          <Typography key={index} component="li" variant="body1">
            <Typography variant="body2" component="span" color="textSecondary">
              {CHANGED[change.kind]}, {change.place}:
            </Typography>{' '}
            <Coded>{change.text}</Coded>
          </Typography>
        ))}
      </Box>
    </Part>
  )
}

/** The requirements with their points, and the sum. */
function Points({content}: {content: Schemas['ReplyContent']}) {
  return (
    <Part title="Points">
      {content.points.map(point => (
        <Line
          key={point.title}
          title={point.title}
          how={noteOf(point)}
          points={pointsOf(point)}
          reasons={point.reasons}
        />
      ))}
      {content.others.map(line => (
        <Line key={line.title} title={line.title} how={line.how} points={String(line.points)} reasons={line.reasons} />
      ))}
      <Typography variant="h3" sx={{textAlign: 'right', borderTop: 1, borderColor: 'divider', pt: 1, mt: 1}}>
        {content.awarded} of {many(content.possible, 'point')}
      </Typography>
      {openOf(content) > 0 && (
        <Typography variant="body2" sx={{textAlign: 'right', color: 'desk.waits'}}>
          Provisional: {notJudged(openOf(content))}
        </Typography>
      )}
    </Part>
  )
}

/** A requirement with its points, and under it where they went: one line for each reason. */
function Line({
  title,
  how,
  points,
  reasons,
}: {
  title: string
  how: string | null
  points: string
  reasons: Schemas['ReplyReason'][]
}) {
  return (
    <Box sx={{py: 0.4, breakInside: 'avoid'}}>
      <Sum title={title} how={how} points={points} />
      {reasons.map((reason, index) => (
        <Box key={index} sx={{display: 'flex', gap: 1.5, pl: 2, color: reason.inked ? 'desk.ink' : 'text.secondary'}}>
          <Typography variant="body2" sx={{flex: '0 0 3rem', textAlign: 'right', fontWeight: 700}}>
            {cost(reason.cost)}
          </Typography>
          <Typography variant="body2" sx={{flex: 1, overflowWrap: 'anywhere'}}>
            {reason.file !== '' && `${reason.file}${reason.line === null ? '' : `, line ${reason.line}`}: `}
            <Coded>{reason.text}</Coded>
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

function Sum({title, how, points}: {title: string; how: string | null; points: string}) {
  return (
    <Box sx={{display: 'flex', gap: 2}}>
      <Typography variant="body1" sx={{flex: 1}}>
        {title}
        {how !== null && how !== '' && (
          <Typography variant="body2" component="span" color="textSecondary">
            {' '}
            ({how})
          </Typography>
        )}
      </Typography>
      <Typography variant="body1" sx={{whiteSpace: 'nowrap'}}>
        {points}
      </Typography>
    </Box>
  )
}

/** The words that a reply begins or ends with. */
function Words({item}: {item: Schemas['ReplyItem'] | null}) {
  if (item === null) return null
  return (
    <Typography
      variant="body1"
      component="div"
      dir="auto"
      sx={{my: 2, '& p': {mt: 0}}}
      dangerouslySetInnerHTML={{__html: item.html ?? ''}}
    />
  )
}

/** A page as the instructor would have it: the lines that differ. */
function Mended({page}: {page: Schemas['ReplyMended']}) {
  return (
    <Part title={`${page.file}, mended`}>
      <Typography variant="body1" sx={{mb: 1}}>
        What is struck goes, what is bold comes in its place.
        {page.follow && ' Follow this page when you mend the others.'}
      </Typography>
      {page.places.map(place => (
        <Box key={place.line} sx={{mb: 1.5, breakInside: 'avoid'}}>
          <Typography variant="body2" color="textSecondary">
            from line {place.line}
          </Typography>
          <Box
            component="pre"
            sx={{
              fontFamily: mono,
              fontSize: 12,
              lineHeight: 1.55,
              m: 0,
              whiteSpace: 'pre-wrap',
              overflowWrap: 'anywhere',
            }}
          >
            {place.lines.map((line, at) => (
              <Box
                key={at}
                component={line.step === 'added' ? 'ins' : line.step === 'removed' ? 'del' : 'span'}
                sx={{
                  display: 'block',
                  minHeight: '1.55em',
                  textDecoration: line.step === 'removed' ? 'line-through' : 'none',
                  color:
                    line.step === 'added' ? 'desk.ink' : line.step === 'removed' ? 'text.secondary' : 'text.primary',
                  fontWeight: line.step === 'added' ? 700 : 400,
                }}
              >
                {line.text}
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Part>
  )
}

function Item({item, file = ''}: {item: Schemas['ReplyItem']; file?: string}) {
  const merit = item.kind === 'merit'
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: {xs: '3.2rem 1.2rem minmax(0, 1fr)', md: '4.5rem 1.5rem minmax(0, 1fr)'},
        gap: 1.5,
        py: 0.75,
        breakInside: 'avoid',
      }}
    >
      <Typography variant="body2" color="textSecondary" sx={{pt: 0.4}}>
        {item.line === null ? '' : item.endLine === null ? `line ${item.line}` : `lines ${item.line}–${item.endLine}`}
      </Typography>
      <Box sx={{color: merit ? 'desk.merit' : 'desk.ink'}}>{item.mark !== null && <ProofMark mark={item.mark} />}</Box>
      <Box sx={{color: merit ? 'desk.merit' : 'text.primary'}}>
        {file !== '' && (
          <Typography variant="body2" component="span" color="textSecondary">
            {file}
          </Typography>
        )}
        <Quoted lines={item.lines} isNumbered={item.lines.length > 1} />
        {item.kind === 'question' && (
          <Typography variant="body2" component="span" sx={{fontWeight: 700}}>
            A question:
          </Typography>
        )}
        {item.html === null ? (
          <Typography variant="body1">
            <Coded>{item.text}</Coded>{' '}
            <Box component="span" sx={{color: 'desk.ink'}}>
              <Coded>{item.remedy ?? ''}</Coded>
            </Box>
          </Typography>
        ) : (
          <Typography
            variant="body1"
            component="div"
            sx={{'& p': {m: 0}}}
            dangerouslySetInnerHTML={{__html: item.html}}
          />
        )}
      </Box>
    </Box>
  )
}
