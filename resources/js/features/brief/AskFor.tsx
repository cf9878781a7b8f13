import {Autocomplete, Box, Button, TextField, Typography} from '@mui/material'
import {useMutation, useQuery} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {materials} from '../../api/assignments'
import {typedNumber} from '../../lib/numbers'
import {Empty, ErrorText} from '../../ui/Remark'
import type {Asked, Doc} from './document'

/** What has every word that was typed, or the beginning of it, in its sentence or among the other words for it. */
function found(options: Schemas['ReadyMadeView'][], typed: string) {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  return options.filter(({words: sentence, also}) => {
    const known = `${sentence} ${also}`.toLowerCase()
    return words.every(word => known.includes(word))
  })
}

/** One more sentence, found by a few words of what is wanted; or all of them, from the model answer. */
export function AskFor({
  id,
  kinds,
  isEmpty,
  onAsk,
  onPropose,
}: {
  id: string
  kinds: Schemas['BriefKinds']
  isEmpty: boolean
  onAsk: (values: Asked) => void
  onPropose: (proposal: Doc) => void
}) {
  const [words, setWords] = useState('')
  const [total, setTotal] = useState('')
  const {data: given} = useQuery(materials(id))
  const hasModel = given?.some(({role, paths}) => role === 'model' && paths.length > 0) === true
  const propose = useMutation({
    mutationFn: async () => {
      const path = {assignment: id}
      const query = total.trim() === '' ? {} : {total: typedNumber(total)}
      const {source} = await unwrap(api.GET('/api/assignments/{assignment}/brief/proposal', {params: {path, query}}))
      const body = {source, site: null}
      return unwrap(api.POST('/api/assignments/{assignment}/brief/reading', {params: {path}, body}))
    },
    onSuccess: ({document}) => onPropose(document),
  })
  return (
    <Box sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 1}}>
      {isEmpty && (
        <Empty>
          Nothing is asked yet. Type a few words of what you want{hasModel ? ', or begin from the model answer' : ''}.
        </Empty>
      )}
      <Box sx={{display: 'flex', alignItems: 'center', gap: 2}}>
        <Autocomplete
          options={kinds.readyMade}
          getOptionLabel={option => option.words}
          filterOptions={(options, {inputValue}) => found(options, inputValue)}
          noOptionsText="Nothing fits. Try another word, such as count, text or link. Late work has its own section below."
          value={null}
          inputValue={words}
          onInputChange={(_, typed, reason) => setWords(reason === 'reset' ? '' : typed)}
          onChange={(_, chosen) => {
            if (chosen !== null) onAsk(chosen.values)
          }}
          blurOnSelect
          autoHighlight
          sx={{width: 460}}
          renderInput={parameters => (
            <TextField {...parameters} label="Ask for…" placeholder="12 cells, menu, stylesheet, new tab" />
          )}
        />
        {hasModel && (
          <>
            <Button variant="outlined" loading={propose.isPending} onClick={() => propose.mutate()}>
              Propose from the model answer
            </Button>
            <TextField
              label="Points in all (optional)"
              value={total}
              onChange={event => setTotal(event.target.value)}
              sx={{width: 190}}
              slotProps={{htmlInput: {inputMode: 'decimal'}}}
            />
          </>
        )}
      </Box>
      {!hasModel && isEmpty && (
        <Typography variant="body2" color="textSecondary" sx={{mt: 1}}>
          With a model answer among the assignment’s files, a brief can be proposed from it.
        </Typography>
      )}
      <ErrorText error={propose.error} />
    </Box>
  )
}
