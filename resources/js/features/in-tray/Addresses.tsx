import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState} from 'react'
import {api, unwrap} from '../../api/client'
import {arrivals} from '../../api/intake'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'

/** Where the addresses of published sites are pasted, for a class at once. */
export function Addresses({assignmentId}: {assignmentId: string}) {
  const [isOpen, setOpen] = useState(false)
  const [text, setText] = useState('')
  const queries = useQueryClient()
  const take = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST('/api/assignments/{assignment}/addresses', {
          params: {path: {assignment: assignmentId}},
          body: {text, drop: crypto.randomUUID()},
        }),
      ),
    onSuccess: () => {
      setText('')
      setOpen(false)
    },
    onSettled: () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey}),
  })
  return (
    <Box sx={{mb: 4}}>
      <Typography variant="body2" color="textSecondary">
        Or the sites are published:{' '}
        <Link component="button" underline="always" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          paste their addresses
        </Link>
        {take.data !== undefined && !isOpen && (
          <span role="status"> {many(take.data.taken, 'site')} will be fetched.</span>
        )}
      </Typography>
      {isOpen && (
        <Box
          component="form"
          sx={{mt: 1.5, display: 'grid', gap: 1.5, justifyItems: 'start'}}
          onSubmit={event => {
            event.preventDefault()
            take.mutate()
          }}
        >
          <TextField
            autoFocus
            fullWidth
            multiline
            minRows={4}
            maxRows={14}
            label="A line for each: the student’s name or handle, and the address"
            placeholder={'wfinch  https://wfinch.example/almanac/'}
            value={text}
            onChange={event => setText(event.target.value)}
          />
          <ErrorText error={take.error} />
          <Button type="submit" variant="contained" disabled={text.trim() === ''} loading={take.isPending}>
            Fetch them
          </Button>
        </Box>
      )}
    </Box>
  )
}
