import {Box, Button, TextField} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {useState} from 'react'
import {ErrorText} from '../Remark'

/** Asks for the name of what is to go, so that nobody deletes a term by a slip. */
export function DeleteByName({what, onDelete}: {what: string; onDelete: (name: string) => Promise<void>}) {
  const [name, setName] = useState('')
  const remove = useMutation({mutationFn: onDelete})
  return (
    <Box
      component="form"
      aria-label={`Delete ${what}`}
      onSubmit={event => {
        event.preventDefault()
        remove.mutate(name)
      }}
      sx={{display: 'flex', alignItems: 'flex-start', flexWrap: 'wrap', gap: 2, mt: 2, maxWidth: 620}}
    >
      <TextField
        label={`Type the name of ${what}`}
        value={name}
        onChange={event => setName(event.target.value)}
        sx={{minWidth: 280}}
      />
      <Button type="submit" variant="outlined" color="error" loading={remove.isPending} sx={{mt: 0.5}}>
        Delete {what}
      </Button>
      <Box sx={{flexBasis: '100%'}}>
        <ErrorText error={remove.error} />
      </Box>
    </Box>
  )
}
