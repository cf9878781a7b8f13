import {Box, Link, Typography} from '@mui/material'
import {ProofMark} from '../../../../ui/ProofMark'
import {Empty} from '../../../../ui/Remark'
import type {Survey, SurveyPage} from '../map/layout'
import {RuledTable} from '../../../../ui/RuledTable'

type Entry = NonNullable<SurveyPage['menu']>['entries'][number]

interface Props {
  survey: Survey
  onPage: (path: string) => void
  onLine: (path: string, line: number) => void
}

/** Every page's menu in a row below the menu they have in common, with what differs in ink. */
export function Menus({survey, onPage, onLine}: Props) {
  const usual = survey.usualMenu
  if (survey.pages.every(page => page.menu === null))
    return (
      <Box sx={{p: 4}}>
        <Empty>No page of this site has a menu.</Empty>
      </Box>
    )
  return (
    <Box sx={{px: 3, py: 1.5}}>
      <Typography variant="body2" color="textSecondary">
        {usual === null
          ? 'The pages have no menu in common; each has its own.'
          : `${usual.asked ? 'The menu that the brief asks for' : 'The menu that the pages have in common'} is at the top${usual.place === null ? '' : `; on most pages it comes ${usual.place}`}. ${survey.pages.every(page => page.menuDiffers.length === 0) ? 'Every page has it as it should be.' : 'What differs is in ink.'}`}
      </Typography>
      {usual === null ? (
        <Plain survey={survey} onPage={onPage} onLine={onLine} />
      ) : (
        <RuledTable
          caption="The menus of all pages"
          heads={['Page', ...usual.entries.map(entry => entry.label), 'Besides']}
        >
          {survey.pages.map(page => (
            <Row
              key={page.path}
              page={page}
              usual={usual.entries}
              place={usual.place}
              onPage={onPage}
              onLine={onLine}
            />
          ))}
        </RuledTable>
      )}
    </Box>
  )
}

function Row({
  page,
  usual,
  place,
  onPage,
  onLine,
}: {
  page: SurveyPage
  usual: {key: string; label: string}[]
  place: string | null
  onPage: Props['onPage']
  onLine: Props['onLine']
}) {
  const {menu} = page
  const entries = menu?.entries ?? []
  // An entry whose words are another's stands in the column of its words; the rest by what they lead to.
  const column = (entry: Entry) =>
    (entry.differs.includes('readdressed') ? usual.find(one => same(one.label, entry.label))?.key : undefined) ??
    entry.key
  const besides = entries.filter(
    entry => !usual.some(one => one.key === column(entry)) && !(entry.own && entry.written === null),
  )
  const remarks = [
    page.menuDiffers.includes('order') ? `in another order: ${entries.map(entry => entry.label).join(', ')}` : null,
    page.menuDiffers.includes('place') && menu !== null ? `stands ${menu.place}, not ${place ?? 'there'}` : null,
  ].filter(word => word !== null)
  return (
    <tr>
      <th scope="row">
        <Link component="button" onClick={() => onPage(page.path)} sx={{textAlign: 'left'}}>
          {page.path}
        </Link>
      </th>
      {menu === null ? (
        <Box component="td" colSpan={usual.length} sx={{color: 'desk.ink', fontWeight: 700}}>
          no menu
        </Box>
      ) : (
        usual.map(one => (
          <td key={one.key}>
            {entries
              .filter(entry => column(entry) === one.key)
              .map(entry => (
                <MenuCell key={`${entry.key} ${entry.line}`} entry={entry} onLine={line => onLine(page.path, line)} />
              ))}
            {page.lacks.some(lacking => lacking.key === one.key) && (
              <Box
                component="span"
                sx={{color: 'desk.ink', fontWeight: 700, display: 'inline-flex', alignItems: 'center', gap: 0.25}}
              >
                <ProofMark mark="insert" /> missing
              </Box>
            )}
            {one.key === page.path && !entries.some(entry => column(entry) === one.key) && (
              <Box component="span" sx={{color: 'text.secondary'}} aria-label="this page itself">
                –
              </Box>
            )}
          </td>
        ))
      )}
      <td>
        {besides.map(entry => (
          <MenuCell key={`${entry.key} ${entry.line}`} entry={entry} onLine={line => onLine(page.path, line)} />
        ))}
        {remarks.length > 0 && <Box sx={{color: 'desk.ink', fontWeight: 700}}>{remarks.join('; ')}</Box>}
      </td>
    </tr>
  )
}

const same = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase()

function MenuCell({entry, onLine}: {entry: Entry; onLine: (line: number) => void}) {
  const differs = entry.differs.length > 0 || entry.broken
  const why = [
    entry.broken ? 'broken' : null,
    entry.differs.includes('renamed') ? 'other words' : null,
    entry.differs.includes('readdressed') && !entry.broken ? `leads to ${entry.written ?? 'nothing'}` : null,
    entry.differs.includes('extra') ? 'too many' : null,
    entry.differs.includes('twice') ? 'twice' : null,
    entry.differs.includes('outside-list') ? 'outside the list' : null,
  ].filter(word => word !== null)
  return (
    <Box
      sx={{color: entry.broken ? 'desk.fault' : differs ? 'desk.ink' : 'desk.pencil', fontWeight: differs ? 700 : 400}}
    >
      <Link
        component="button"
        color="inherit"
        sx={{font: 'inherit', fontStyle: entry.written === null ? 'italic' : 'normal', textAlign: 'left'}}
        onClick={() => onLine(entry.line)}
      >
        {entry.label === '' ? '(no words)' : entry.label}
      </Link>
      {why.length > 0 && (
        <Typography variant="body2" sx={{fontSize: '0.8rem', overflowWrap: 'anywhere'}}>
          {why.join(', ')}
        </Typography>
      )}
    </Box>
  )
}

function Plain({survey, onPage, onLine}: Props) {
  return (
    <RuledTable caption="The menus of all pages" heads={['Page', 'Its menu', 'Where it stands']}>
      {survey.pages.map(page => (
        <tr key={page.path}>
          <th scope="row">
            <Link component="button" onClick={() => onPage(page.path)}>
              {page.path}
            </Link>
          </th>
          <Box component="td">
            <Box sx={{display: 'flex', gap: 2, flexWrap: 'wrap'}}>
              {page.menu?.entries.map(entry => (
                <MenuCell key={`${entry.key} ${entry.line}`} entry={entry} onLine={line => onLine(page.path, line)} />
              )) ?? 'none'}
            </Box>
          </Box>
          <td>{page.menu?.place ?? ''}</td>
        </tr>
      ))}
    </RuledTable>
  )
}
