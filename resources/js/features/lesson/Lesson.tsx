import {Box, Button, Checkbox, FormControlLabel, Link, Typography} from '@mui/material'
import {useQuery, useSuspenseQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {useParams, useSearchParams} from 'react-router'
import {assignment} from '../../api/assignments'
import {classSheet} from '../../api/marking'
import {lesson} from '../../api/replies'
import {Coded} from '../../ui/Coded'
import {Frame} from '../frame/Frame'
import {useKeys} from '../../ui/keys'
import {PdfLink} from '../../ui/PdfLink'
import {Empty, ErrorText} from '../../ui/Remark'
import {titleOf} from '../../lib/rules'
import {Screen} from '../frame/Screen'
import {Handout} from './Handout'
import {chosenKinds, kindOf, lessonFile, MOST} from './address'
import {Projected} from './Projected'

export const Lesson = () => (
  <Screen>
    <LessonScreen />
  </Screen>
)

/** Slips of a class as a handout for the next lesson, and on a wall. */
function LessonScreen() {
  const {id = ''} = useParams()
  const [query, setQuery] = useSearchParams()
  const {data: work} = useSuspenseQuery(assignment(id))
  const {data: sheet} = useSuspenseQuery(classSheet(id))
  const kinds = chosenKinds(sheet.slips, query.has('kinds') ? query.getAll('kinds').filter(one => one !== '') : null)
  const {data, error} = useQuery(lesson(id, kinds))
  const pages = data?.pages ?? []
  const [isProjected, setProjected] = useState(false)
  const choose = (kind: string, isChosen: boolean) => {
    const next = isChosen ? [...kinds, kind] : kinds.filter(one => one !== kind)
    setQuery({kinds: next.length === 0 ? '' : next}, {replace: true})
  }
  useKeys([
    {key: 'w', does: 'show on the projector', run: () => pages.length > 0 && setProjected(true)},
    {key: 'p', does: 'print', run: () => print()},
  ])
  const handIns = sheet.rows.filter(row => row.handInId !== null).length
  if (isProjected) return <Projected pages={pages} onLeave={() => setProjected(false)} />
  return (
    <Frame
      steps={[
        {name: work.course, to: `/courses/${work.courseId}`},
        {name: work.title, to: `/assignments/${id}`},
        {name: 'Class sheet', to: `/assignments/${id}/class-sheet`},
        {name: 'Next lesson'},
      ]}
      wide
    >
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: '22rem minmax(0, 1fr)',
          '@media print': {display: 'block'},
        }}
      >
        <Box
          component="section"
          aria-labelledby="slips"
          className="not-printed"
          tabIndex={0}
          sx={{overflow: 'auto', px: 3, py: 2.5, borderRight: 1, borderColor: 'divider'}}
        >
          <Typography variant="h2" id="slips" gutterBottom>
            What to go through
          </Typography>
          <Typography variant="body2" color="textSecondary" sx={{mb: 1.5}}>
            {kinds.length} chosen, a page for each. Names are left off.
          </Typography>
          {sheet.slips.map(slip => {
            const kind = kindOf(slip)
            const isChosen = kinds.includes(kind)
            return (
              <FormControlLabel
                key={kind}
                sx={{display: 'flex', alignItems: 'flex-start', mb: 1, mr: 0}}
                control={
                  <Checkbox
                    size="small"
                    sx={{py: 0.25}}
                    checked={isChosen}
                    disabled={!isChosen && kinds.length >= MOST}
                    onChange={(_event, is) => choose(kind, is)}
                  />
                }
                label={
                  <Typography variant="body2">
                    {titleOf(slip.rule)}
                    <Box component="span" sx={{color: 'text.secondary', display: 'block'}}>
                      {slip.places.length} of {handIns}: <Coded>{slip.message}</Coded>
                    </Box>
                  </Typography>
                }
              />
            )
          })}
        </Box>
        <Box
          sx={{overflow: 'auto', px: 4, py: 2.5, '@media print': {overflow: 'visible', p: 0}}}
          tabIndex={0}
          role="region"
          aria-label="Handout"
        >
          <Box className="not-printed" sx={{display: 'flex', alignItems: 'baseline', flexWrap: 'wrap', gap: 2, mb: 2}}>
            <Typography variant="h1" sx={{fontSize: '1.5rem', flex: 1}}>
              Next lesson
            </Typography>
            {pages.length > 0 && (
              <>
                <Link variant="body2" href={lessonFile(id, 'html', kinds)}>
                  As one page
                </Link>
                <PdfLink href={lessonFile(id, 'pdf', kinds)} name={`next lesson, ${work.title}`} />
                <Link variant="body2" href={lessonFile(id, 'md', kinds)}>
                  As Markdown
                </Link>
                <Button variant="contained" onClick={() => setProjected(true)}>
                  Show on the projector
                </Button>
              </>
            )}
          </Box>
          <ErrorText error={error} />
          {data !== undefined && pages.length === 0 && (
            <Empty>Choose what to go through, and it stands here as a handout.</Empty>
          )}
          {pages.map(page => (
            <Handout key={kindOf(page)} page={page} />
          ))}
        </Box>
      </Box>
    </Frame>
  )
}
