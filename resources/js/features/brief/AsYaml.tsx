import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {useState, type ChangeEvent} from 'react'
import {api, unwrap} from '../../api/client'
import {ErrorText} from '../../ui/Remark'
import {mono} from '../../ui/theme'
import type {Doc} from './document'

/** The same brief as text, for those who like it: out, in, and side by side. */
export function AsYaml({
  id,
  yaml,
  problems,
  onRead,
}: {
  id: string
  yaml: string
  /** with their lines */
  problems: string[]
  onRead: (document: Doc) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const read = useMutation({
    mutationFn: (source: string) =>
      unwrap(
        api.POST('/api/assignments/{assignment}/brief/reading', {
          params: {path: {assignment: id}},
          body: {source, site: null},
        }),
      ),
    onSuccess: ({document}) => {
      setTyped(null)
      onRead(document)
    },
  })
  const take = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (file !== undefined) setTyped(await file.text())
  }
  return (
    <Box>
      <TextField
        label="The brief as YAML"
        multiline
        fullWidth
        minRows={14}
        maxRows={30}
        value={typed ?? yaml}
        onChange={event => setTyped(event.target.value)}
        slotProps={{htmlInput: {style: {fontFamily: mono, fontSize: 12.5}, spellCheck: false}}}
      />
      <ErrorText error={read.error} />
      {typed === null && problems.length > 0 && (
        <Typography variant="body2" sx={{whiteSpace: 'pre-line', color: 'desk.fault', my: 1}}>
          {problems.join('\n')}
        </Typography>
      )}
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 2, mt: 1}}>
        <Button
          variant="outlined"
          disabled={typed === null}
          loading={read.isPending}
          onClick={() => typed !== null && read.mutate(typed)}
        >
          Read it
        </Button>
        {typed !== null && <Button onClick={() => setTyped(null)}>Leave it as it was</Button>}
        <Link component="label" variant="body2" sx={{cursor: 'pointer', '&:focus-within': {outline: 2}}}>
          Take it from a file
          <input type="file" accept=".yaml,.yml,.json" className="unseen" onChange={event => void take(event)} />
        </Link>
        <Link
          variant="body2"
          href={`data:text/yaml;charset=utf-8,${encodeURIComponent(typed ?? yaml)}`}
          download="brief.yaml"
        >
          As a file
        </Link>
      </Box>
    </Box>
  )
}
