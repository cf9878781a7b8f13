import {Box, Button, Link, TextField, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {useState, type ChangeEvent} from 'react'
import {Link as RouterLink} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {assignment} from '../../api/assignments'
import {Empty, ErrorText} from '../../ui/Remark'
import {Coded} from '../../ui/Coded'
import {many} from '../../lib/when'
import {mono} from '../../ui/theme'

/** The brief in sentences; for whoever sets it, also as YAML to be changed or replaced by a file. */
export function BriefSheet({
  assignmentId,
  brief,
  mayChange,
}: {
  assignmentId: string
  brief: Schemas['BriefView'] | null
  mayChange: boolean
}) {
  const [draft, setDraft] = useState<string | null>(null)
  const queries = useQueryClient()
  const keep = useMutation({
    mutationFn: (source: string) =>
      unwrap(
        api.PUT('/api/assignments/{assignment}/brief', {params: {path: {assignment: assignmentId}}, body: {source}}),
      ),
    onSuccess: async () => {
      setDraft(null)
      await queries.invalidateQueries({queryKey: assignment(assignmentId).queryKey})
    },
  })
  const upload = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (file !== undefined) setDraft(await file.text())
  }
  return (
    <Box component="section" aria-labelledby="brief" sx={{mt: 6}}>
      <Box sx={{display: 'flex', alignItems: 'baseline', gap: 3}}>
        <Typography variant="h2" id="brief" sx={{flex: 1}}>
          The brief
        </Typography>
        {mayChange && draft === null && (
          <>
            <Link component={RouterLink} variant="body2" to={`/assignments/${assignmentId}/brief`}>
              {brief === null ? 'Write it' : 'Change it sentence by sentence'}
            </Link>
            <Link
              component="button"
              variant="body2"
              onClick={() => setDraft(brief?.source ?? 'title: \nrequirements:\n')}
            >
              Change it as YAML
            </Link>
            <Link component="label" variant="body2" sx={{cursor: 'pointer', '&:focus-within': {outline: 2}}}>
              Take it from a file
              <input type="file" accept=".yaml,.yml,.json" className="unseen" onChange={event => void upload(event)} />
            </Link>
          </>
        )}
      </Box>
      {draft !== null && (
        <Box
          component="form"
          sx={{my: 2}}
          onSubmit={event => {
            event.preventDefault()
            keep.mutate(draft)
          }}
        >
          <TextField
            label="The brief as YAML"
            multiline
            fullWidth
            minRows={12}
            maxRows={28}
            value={draft}
            onChange={event => setDraft(event.target.value)}
            slotProps={{htmlInput: {style: {fontFamily: mono, fontSize: 13}, spellCheck: false}}}
          />
          <ErrorText error={keep.error} />
          <Box sx={{display: 'flex', gap: 2, mt: 1}}>
            <Button type="submit" variant="contained" loading={keep.isPending}>
              Put in force and check again
            </Button>
            <Button
              onClick={() => {
                keep.reset()
                setDraft(null)
              }}
            >
              Leave as it was
            </Button>
          </Box>
        </Box>
      )}
      {brief === null && draft === null && (
        <Empty>There is none yet. Until there is, hand-ins wait for their check.</Empty>
      )}
      {brief !== null && (
        <>
          <Typography variant="body2" color="textSecondary" gutterBottom>
            Version {brief.version}, {many(brief.points, 'point')} in all
          </Typography>
          {brief.problems.length > 0 && (
            <Typography role="alert" variant="body1" sx={{color: 'desk.fault', whiteSpace: 'pre-line', maxWidth: 820}}>
              {[
                'This brief cannot be read, so nothing is checked under it. Change it as YAML:',
                ...brief.problems,
              ].join('\n')}
            </Typography>
          )}
          <Box component="ol" sx={{m: 0, pl: 3, maxWidth: 820}}>
            {brief.requirements.map(line => (
              <Box component="li" key={line.id} sx={{py: 0.75}}>
                <Typography variant="body1" component="span">
                  <Coded>{line.sentence}</Coded>{' '}
                </Typography>
                <Typography variant="body2" component="span" color="textSecondary" noWrap>
                  {many(line.points, 'point')}
                </Typography>
              </Box>
            ))}
          </Box>
          {brief.marking.length > 0 && (
            <Typography variant="body1" sx={{mt: 1, maxWidth: 820}}>
              {brief.marking.join(' ')}
            </Typography>
          )}
        </>
      )}
    </Box>
  )
}
