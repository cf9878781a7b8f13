import {Autocomplete, Box, TextField, Typography} from '@mui/material'
import {useQuery} from '@tanstack/react-query'
import {useDeferredValue, useRef, useState} from 'react'
import {useNavigate} from 'react-router'
import type {Schemas} from '../../lib/schemas'
import {search} from '../../api/search'
import {Coded} from '../../ui/Coded'
import {useKeys} from '../../ui/keys'

const KINDS: Record<Schemas['Hit']['kind'], string> = {
  student: 'Students',
  assignment: 'Assignments',
  'hand-in': 'Hand-ins',
  note: 'Notes',
  'stock-remark': 'Stock remarks',
  rule: 'Rules',
}

/** Finds what there is by its words, and leads to it. */
export function SearchBox() {
  const [typed, setTyped] = useState('')
  const words = useDeferredValue(typed.trim())
  const {data, isFetching} = useQuery({...search(words), enabled: words !== ''})
  const hits = words === '' ? [] : (data ?? [])
  const navigate = useNavigate()
  const place = useRef<HTMLDivElement>(null)
  const field = () => place.current?.querySelector('input')
  useKeys([{key: '/', does: 'search', run: () => field()?.focus()}])
  return (
    <Autocomplete
      ref={place}
      freeSolo
      clearOnEscape
      autoHighlight
      value={null}
      inputValue={typed}
      onInputChange={(_event, text, reason) => setTyped(reason === 'selectOption' ? '' : text)}
      options={hits}
      // What the server found is what was asked for.
      filterOptions={all => all}
      groupBy={hit => KINDS[hit.kind]}
      getOptionLabel={hit => (typeof hit === 'string' ? hit : hit.title)}
      getOptionKey={hit => (typeof hit === 'string' ? hit : `${hit.to} ${hit.title}`)}
      onChange={(_event, chosen) => {
        // Enter without a choice is for the first.
        const hit = typeof chosen === 'string' ? hits[0] : chosen
        if (hit === null || hit === undefined) return
        setTyped('')
        field()?.blur()
        void navigate(hit.to)
      }}
      renderOption={({key, ...props}, hit) => (
        <Box component="li" key={key} {...props}>
          <Box sx={{minWidth: 0}}>
            <Typography variant="body2" noWrap>
              {hit.title}
            </Typography>
            <Typography variant="body2" noWrap sx={{color: 'text.secondary', fontSize: '0.82rem'}}>
              <Coded>{hit.detail}</Coded>
            </Typography>
          </Box>
        </Box>
      )}
      renderInput={params => (
        <TextField
          {...params}
          variant="standard"
          placeholder={isFetching ? 'Searching…' : 'Search'}
          slotProps={{
            ...params.slotProps,
            htmlInput: {...params.slotProps.htmlInput, 'aria-label': 'Search', maxLength: 200},
          }}
        />
      )}
      slotProps={{popper: {style: {width: 420}, placement: 'bottom-end'}}}
      sx={{width: {xs: '8rem', lg: '13rem'}, flexShrink: 0, '& .MuiInputBase-root': {fontSize: '0.9rem'}}}
    />
  )
}
