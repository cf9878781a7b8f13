import {Box, Link} from '@mui/material'
import type {Finding} from '../../margin/marks'
import {findingOf, isBroken, type Survey, type SurveyLink} from './layout'
import {way} from '../seen/walked'
import {RuledTable} from '../../../../ui/RuledTable'

/** The facts of the page map in words: a row a page, with every link from it. */
export function LinkTable({
  survey,
  findings,
  walked,
  onPage,
  onLink,
}: {
  survey: Survey
  findings: Finding[]
  walked: ReadonlySet<string>
  onPage: (path: string) => void
  onLink: (link: SurveyLink, finding: Finding | null) => void
}) {
  return (
    <RuledTable caption="How the pages link" heads={['Page', 'From home', 'Links to', 'Linked from', 'Remarks']}>
      {survey.pages.map(page => (
        <tr key={page.path}>
          <th scope="row">
            <Link component="button" onClick={() => onPage(page.path)}>
              {page.path}
            </Link>
          </th>
          <td>{page.distance ?? 'no way'}</td>
          <td>
            {survey.links
              .filter(link => link.from === page.path)
              .map((link, index) => (
                <Box component="span" key={`${link.to} ${link.line} ${link.column}`}>
                  {index > 0 && ', '}
                  <Link
                    component="button"
                    underline="always"
                    sx={{
                      color: isBroken(link) ? 'desk.fault' : 'desk.ink',
                      fontWeight: isBroken(link) ? 700 : 400,
                      textAlign: 'left',
                    }}
                    onClick={() => onLink(link, findingOf(link, findings))}
                  >
                    {link.to}
                    {isBroken(link) ? ' (broken)' : link.back ? ' (and back)' : ''}
                    {walked.has(way(link.from, link.to)) ? ' ✓' : ''}
                  </Link>
                </Box>
              ))}
          </td>
          <td>{page.linkedFrom}</td>
          <td>
            {[
              page.distance === null ? 'nobody gets here' : null,
              page.deadEnd ? 'leads nowhere' : null,
              page.wayHome ? null : 'no way home',
            ]
              .filter(word => word !== null)
              .join(', ')}
          </td>
        </tr>
      ))}
    </RuledTable>
  )
}
