import {Box, Typography} from '@mui/material'
import type {Schemas} from '../../api/client'
import {Coded} from '../../parts/Coded'
import {ProofMark} from '../../parts/ProofMark'
import {Empty} from '../../parts/Remark'
import {many} from '../../parts/when'
import {mono} from '../../theme/theme'

/** Exactly what the student reads. */
export function Paper({content}: {content: Schemas['ReplyContent']}) {
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
        <Empty>Nothing has been inked or written yet, so there is nothing to read but the points.</Empty>
      )}
      {content.pages.map(page => (
        <Box component="section" key={page.file} sx={{mb: 3, breakInside: 'avoid-page'}}>
          <Typography variant="h2" sx={{borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1}}>
            {page.file === '' ? 'The whole hand-in' : page.file}
          </Typography>
          {page.items.map((item, index) => (
            <Item key={index} item={item} />
          ))}
        </Box>
      ))}
      {content.mended.map(page => (
        <Mended key={page.file} page={page} />
      ))}
      {content.points.length > 0 && (
        <Box component="section" sx={{mt: 4, breakInside: 'avoid'}}>
          <Typography variant="h2" sx={{borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1}}>
            Points
          </Typography>
          {content.points.map(point => (
            <Box key={point.title} sx={{display: 'flex', gap: 2, py: 0.4}}>
              <Typography variant="body1" sx={{flex: 1}}>
                {point.title}
                {point.reason !== null && (
                  <Typography variant="body2" component="span" sx={{color: 'desk.ink'}}>
                    {' '}
                    ({point.reason})
                  </Typography>
                )}
              </Typography>
              <Typography variant="body1">
                {point.awarded} of {point.possible}
              </Typography>
            </Box>
          ))}
          {content.others.map(line => (
            <Box key={line.title} sx={{display: 'flex', gap: 2, py: 0.4}}>
              <Typography variant="body1" sx={{flex: 1}}>
                {line.title}
                <Typography variant="body2" component="span" color="textSecondary">
                  {' '}
                  ({line.how})
                </Typography>
              </Typography>
              <Typography variant="body1">{line.points}</Typography>
            </Box>
          ))}
          <Typography variant="h3" sx={{textAlign: 'right', borderTop: 1, borderColor: 'divider', pt: 1, mt: 1}}>
            {content.awarded} of {many(content.possible, 'point')}
          </Typography>
        </Box>
      )}
      <Words item={content.closing} />
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
    <Box component="section" sx={{mb: 3}}>
      <Typography variant="h2" sx={{borderBottom: 1, borderColor: 'divider', pb: 0.5, mb: 1}}>
        {page.file}, mended
      </Typography>
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
    </Box>
  )
}

function Item({item}: {item: Schemas['ReplyItem']}) {
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
