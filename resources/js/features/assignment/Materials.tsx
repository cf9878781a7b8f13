import {Box, Button, Link, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useRef, useState, type DragEvent} from 'react'
import {Link as RouterLink} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {materials} from '../../api/assignments'
import {ErrorText} from '../../ui/Remark'
import {many} from '../../lib/when'

type Role = Schemas['MaterialView']['role']

const ROLES: Record<Role, {name: string; about: string}> = {
  starter: {
    name: 'Starter files',
    about: 'Students begin from them. What is wrong in them is not held against anybody.',
  },
  model: {name: 'Model answer', about: 'A brief can be proposed from it, and it has to meet the brief in full.'},
  copy: {name: 'Texts', about: 'They are to stand on pages word for word.'},
  sheets: {name: 'Stylesheets', about: 'They are to be used as they are, and pages can be seen in them.'},
}

const MAX_NAMED = 8

/** What an assignment gives besides its brief: each is dropped as a zip, as a folder or as loose files. */
export function Materials({assignmentId}: {assignmentId: string}) {
  const {data} = useSuspenseQuery(materials(assignmentId))
  return (
    <Box component="section" aria-labelledby="materials" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 4}}>
      <Typography variant="h2" id="materials">
        What it gives
      </Typography>
      {data.map(({role, paths}) => (
        <Material key={role} assignmentId={assignmentId} role={role} paths={paths} />
      ))}
    </Box>
  )
}

function Material({assignmentId, role, paths}: {assignmentId: string; role: Role; paths: string[]}) {
  const {name, about} = ROLES[role]
  const [isOver, setOver] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const queries = useQueryClient()
  const params = {path: {assignment: assignmentId, role}}
  const settle = () => queries.invalidateQueries()
  const give = useMutation({
    mutationFn: (files: File[]) =>
      unwrap(
        api.POST('/api/assignments/{assignment}/materials/{role}', {
          params,
          body: {},
          bodySerializer: () => {
            const form = new FormData()
            for (const file of files) {
              form.append('files[]', file)
              form.append('paths[]', file.webkitRelativePath)
            }
            return form
          },
        }),
      ),
    onSuccess: settle,
  })
  const drop = useMutation({
    mutationFn: () => unwrap(api.DELETE('/api/assignments/{assignment}/materials/{role}', {params})),
    onSuccess: settle,
  })
  const take = (files: FileList | null) => {
    if (files !== null && files.length > 0) give.mutate([...files])
  }
  return (
    <Box
      onDragOver={(event: DragEvent) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event: DragEvent) => {
        event.preventDefault()
        setOver(false)
        take(event.dataTransfer.files)
      }}
      sx={{py: 1.5, borderBottom: 1, borderColor: isOver ? 'desk.ink' : 'divider', display: 'flex', gap: 3}}
    >
      <Box sx={{flex: 1, minWidth: 0}}>
        <Typography variant="h3">{name}</Typography>
        <Typography variant="body2" color="textSecondary">
          {about}
        </Typography>
        {paths.length > 0 && (
          <Typography variant="body2" sx={{overflowWrap: 'anywhere'}}>
            <Link component={RouterLink} underline="always" to={`/assignments/${assignmentId}/sites/${role}`}>
              Look at {paths.length === 1 ? 'it' : 'them'}
            </Link>
            . {many(paths.length, 'file')}: {paths.slice(0, MAX_NAMED).join(', ')}
            {paths.length > MAX_NAMED && ` and ${paths.length - MAX_NAMED} more`}
          </Typography>
        )}
        <ErrorText error={give.error ?? drop.error} />
      </Box>
      <Box sx={{display: 'flex', gap: 2, alignItems: 'baseline', whiteSpace: 'nowrap'}}>
        <Button variant="outlined" loading={give.isPending} onClick={() => input.current?.click()}>
          {paths.length === 0 ? `Give ${name.toLowerCase()}` : 'Replace the files'}
        </Button>
        {paths.length > 0 && (
          <Link
            component="button"
            variant="body2"
            aria-label={`Remove ${name.toLowerCase()}`}
            onClick={() => drop.mutate()}
          >
            Remove
          </Link>
        )}
        <input
          ref={input}
          type="file"
          multiple
          className="unseen"
          tabIndex={-1}
          aria-label={`Files: ${name.toLowerCase()}`}
          onChange={event => {
            take(event.target.files)
            event.target.value = ''
          }}
        />
      </Box>
    </Box>
  )
}
