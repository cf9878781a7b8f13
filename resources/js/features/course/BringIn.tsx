import {Button, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useRef} from 'react'
import {useNavigate} from 'react-router'
import {api, unwrap} from '../../api/client'
import {shelf} from '../../api/courses'
import {Part} from '../../ui/Part'
import {ErrorText} from '../../ui/Remark'

/** A course that was written out elsewhere. */
export function BringIn() {
  const file = useRef<HTMLInputElement>(null)
  const navigate = useNavigate()
  const queries = useQueryClient()
  const read = useMutation({
    mutationFn: (given: File) => {
      const body = new FormData()
      body.set('file', given)
      return unwrap(api.POST('/api/records', {body: {file: given.name}, bodySerializer: () => body}))
    },
    onSuccess: async ({id}) => {
      await queries.invalidateQueries({queryKey: shelf.queryKey})
      await navigate(`/courses/${id}`)
    },
  })
  return (
    <Part title="Import a course">
      <Typography variant="body1" gutterBottom>
        Choose the zip that “Export the course” made, here or in another installation. What you wrote stays yours; what
        others wrote is shown as by “Someone who left”, and nobody else is put on the course.
      </Typography>
      <Button variant="outlined" loading={read.isPending} onClick={() => file.current?.click()}>
        Choose the zip
      </Button>
      <input
        ref={file}
        type="file"
        accept=".zip,application/zip"
        hidden
        aria-label="The records of a course"
        data-testid="records"
        onChange={event => {
          const given = event.target.files?.[0]
          event.target.value = ''
          if (given !== undefined) read.mutate(given)
        }}
      />
      <ErrorText error={read.error} />
    </Part>
  )
}
