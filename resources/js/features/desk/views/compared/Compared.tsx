import {Box, Link, Typography} from '@mui/material'
import type {Survey, SurveyPage} from '../map/layout'
import {RuledTable} from '../../../../ui/RuledTable'

/**
 * What should differ between pages beside what should not, a row a page; what two pages share that should be their own
 * is in ink.
 */
export function Compared({
  survey,
  onPage,
  onLine,
}: {
  survey: Survey
  onPage: (path: string) => void
  onLine: (path: string, line: number) => void
}) {
  const titles = counted(survey.pages, page => [page.title])
  const headings = counted(survey.pages, page => [page.heading])
  const pictures = counted(survey.pages, page => page.pictures.map(picture => picture.source))
  const parts = usual(survey.pages.map(page => page.parts.map(part => part.part).join(' ')))
  const sheets = usual(survey.pages.map(page => page.sheets.join(' ')))
  const few = (counts: Map<string, number>, value: string) =>
    value !== '' && (counts.get(value) ?? 0) > 1 && 2 * (counts.get(value) ?? 0) <= survey.pages.length
  return (
    <Box sx={{px: 3, py: 1.5}}>
      <Typography variant="body2" color="textSecondary">
        What a page shares with another and should have of its own, and what it has otherwise than most, is in ink.
      </Typography>
      <RuledTable
        caption="The pages compared"
        heads={['Page', 'Title', 'Main heading', 'Pictures', 'Parts', 'Stylesheets', 'Counts']}
      >
        {survey.pages.map(page => (
          <tr key={page.path}>
            <th scope="row">
              <Link component="button" onClick={() => onPage(page.path)} sx={{textAlign: 'left'}}>
                {page.path}
              </Link>
            </th>
            <td>
              <Value inked={few(titles, page.title) || page.title === ''}>
                {page.title === '' ? 'no title' : page.title}
              </Value>
            </td>
            <td>
              <Value inked={few(headings, page.heading) || page.heading === ''}>
                {page.heading === '' ? (
                  'none'
                ) : (
                  <Link
                    component="button"
                    color="inherit"
                    sx={{font: 'inherit', textAlign: 'left'}}
                    onClick={() => onLine(page.path, page.headings.find(one => one.text === page.heading)?.line ?? 1)}
                  >
                    {page.heading}
                  </Link>
                )}
              </Value>
              {page.headings.length > 1 && (
                <Typography variant="body2" color="textSecondary" sx={{fontSize: '0.8rem'}}>
                  {page.headings.map(one => `h${one.level}`).join(' ')}
                </Typography>
              )}
            </td>
            <td>
              {page.pictures.map((picture, index) => (
                <Box
                  key={`${picture.source} ${index}`}
                  title={picture.source}
                  sx={{maxWidth: '9rem', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap'}}
                >
                  <Value inked={few(pictures, picture.source)}>{picture.source.split(/[/\\]/).pop()}</Value>
                  {picture.alt === null && <Value inked> (no alt)</Value>}
                </Box>
              ))}
            </td>
            <td>
              <Value inked={page.parts.map(part => part.part).join(' ') !== parts}>
                {page.parts.length === 0 ? 'none' : page.parts.map(part => part.part).join(', ')}
              </Value>
            </td>
            <td>
              <Value inked={page.sheets.join(' ') !== sheets}>
                {page.sheets.length === 0 ? 'none' : page.sheets.map(sheet => sheet.split('/').pop()).join(', ')}
              </Value>
            </td>
            <Box component="td" sx={{whiteSpace: 'nowrap', color: 'text.secondary'}}>
              {page.words} words
              <br />
              {page.links} links
              <br />
              linked from {page.linkedFrom}
            </Box>
          </tr>
        ))}
      </RuledTable>
    </Box>
  )
}

function Value({inked, children}: {inked: boolean; children: React.ReactNode}) {
  return (
    <Box component="span" sx={inked ? {color: 'desk.ink', fontWeight: 700} : {color: 'desk.pencil'}}>
      {children}
    </Box>
  )
}

function counted(pages: SurveyPage[], values: (page: SurveyPage) => string[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const page of pages) for (const value of new Set(values(page))) counts.set(value, (counts.get(value) ?? 0) + 1)
  return counts
}

/** The value that most have; undefined when none is in the majority. */
function usual(values: string[]): string | undefined {
  const counts = new Map<string, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].sort(([, a], [, b]) => b - a).at(0)?.[0]
}
