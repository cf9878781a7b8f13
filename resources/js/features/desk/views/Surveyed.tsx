import {Autocomplete, Box, TextField} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import type {ReactNode} from 'react'
import type {Schemas} from '../../../lib/schemas'
import {survey as surveyOf, type SiteOf} from '../../../api/sites'
import {Empty} from '../../../ui/Remark'

/** What is known of the site as a whole, once the check is done; of a large one around a page that can be chosen. */
export function Surveyed({
  of,
  leaf,
  onPage,
  children,
}: {
  of: SiteOf
  leaf: string
  onPage: (path: string) => void
  children: (survey: Schemas['SurveyView']) => ReactNode
}) {
  const {data} = useSuspenseQuery(surveyOf(of, leaf))
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
      {children(data)}
    </>
  )
}
