import {Autocomplete, TextField, Typography} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {useMemo} from 'react'
import {api} from '../../../api/client'
import {stockRemarks} from '../../../api/marking'
import {source} from '../../../api/sites'
import {fillBlanks, forRule} from '../../stock/words'
import {useDesk} from '../deskState'
import type {Draft} from './marks'

/** Finds a stock remark by a few letters, and puts it into the note with its blanks filled in from the place. */
export function StockPicker({draft, onPick}: {draft: Draft; onPick: (draft: Draft) => void}) {
  const {desk} = useDesk()
  const {data: remarks, error} = useQuery(stockRemarks(desk.courseId))
  const {data: text} = useQuery({
    ...source({handIn: desk.id}, draft.file ?? ''),
    enabled: draft.file !== null && draft.line !== null,
  })
  const options = useMemo(() => forRule(remarks ?? [], draft.rule ?? null), [remarks, draft.rule])
  const pick = (id: string, body: string, merit: boolean) => {
    const line = text?.text.split(/\r\n?|\n/)[(draft.line ?? 0) - 1] ?? ''
    const place = {student: desk.student, file: draft.file, line: draft.line, text: line, column: draft.column ?? 1}
    const filled = fillBlanks(body, place)
    onPick({
      ...draft,
      body: draft.body.trim() === '' ? filled : `${draft.body}\n\n${filled}`,
      kind: merit ? 'merit' : draft.kind,
      picking: false,
    })
    // Nothing depends on the count.
    void api.POST('/api/courses/{course}/stock-remarks/{stockRemark}/uses', {
      params: {path: {course: desk.courseId, stockRemark: id}},
      body: {rule: draft.rule ?? null},
    })
  }
  if (error !== null) return <Typography variant="body2">The stock remarks did not arrive: {error.message}</Typography>
  return (
    <Autocomplete
      options={options}
      getOptionLabel={({body}) => body}
      getOptionKey={({id}) => id}
      value={null}
      onChange={(_event, chosen) => {
        if (chosen !== null) pick(chosen.id, chosen.body, chosen.merit)
      }}
      openOnFocus
      autoHighlight
      size="small"
      noOptionsText={remarks?.length === 0 ? 'No stock remarks yet: keep a note with k.' : 'None with these letters.'}
      sx={{mb: 1}}
      renderInput={parameters => <TextField {...parameters} label="Stock remark" autoFocus />}
    />
  )
}
