import {Autocomplete, Box, TextField} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {survey as surveyOf} from '../../api/queries'
import {Empty} from '../../parts/Remark'
import type {Finding} from '../desk/marks'
import {Compared} from './Compared'
import type {SurveyLink} from './layout'
import {Menus} from './Menus'
import {PageMap} from './PageMap'

interface Props {
  handIn: string
  view: string
  findings: Finding[]
  leaf: string
  onPage: (path: string) => void
  onLink: (link: SurveyLink, finding: Finding | null) => void
  onLine: (path: string, line: number) => void
  alone?: string | null
}

/** The site as a whole: how its pages link, their menus, or the pages side by side. */
export function SurveyView({handIn, view, findings, leaf, onPage, onLink, onLine, alone = null}: Props) {
  const {data} = useSuspenseQuery(surveyOf(handIn, leaf))
  if (!data.ready)
    return (
      <Box sx={{p: 4}}>
        <Empty>The check is not done yet. When it is, this is drawn.</Empty>
      </Box>
    )
  return (
    <>
      {data.around !== null && (
        <Autocomplete
          size="small"
          options={data.all}
          value={data.around}
          disableClearable
          onChange={(_event, page) => onPage(page)}
          renderInput={params => <TextField {...params} label="Show the neighbours of" />}
          sx={{mx: 3, mt: 2, maxWidth: 420}}
        />
      )}
      {view === 'map' && (
        <PageMap survey={data} findings={findings} leaf={leaf} onPage={onPage} onLink={onLink} alone={alone} />
      )}
      {view === 'menus' && <Menus survey={data} onPage={onPage} onLine={onLine} />}
      {view === 'compared' && <Compared survey={data} onPage={onPage} onLine={onLine} />}
    </>
  )
}
