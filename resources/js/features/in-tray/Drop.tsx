import {Box, Typography} from '@mui/material'
import {useMutation, useQueryClient} from '@tanstack/react-query'
import {arrivals} from '../../api/intake'
import {FileDrop} from '../../ui/FileDrop'
import type {Placed} from '../../lib/files'
import {ErrorText} from '../../ui/Remark'
import {OnTheWay} from './OnTheWay'
import {send, useSending} from '../../api/sending'

/** Where anything is dropped: zips, folders, loose files, the archive of a class, or all of them at once. */
export function Drop({assignmentId}: {assignmentId: string}) {
  const queries = useQueryClient()
  const sending = useSending(assignmentId)
  const refresh = () => queries.invalidateQueries({queryKey: arrivals(assignmentId).queryKey})
  const drop = useMutation({
    mutationFn: async (taken: Promise<Placed[]>) => send(assignmentId, await taken, () => void refresh()),
    onSettled: refresh,
  })
  return (
    <Box sx={{mb: 2}}>
      <FileDrop
        onFiles={files => drop.mutate(files)}
        busy={false}
        choose="Choose files"
        testId="zips"
        keyName="o"
        after={
          <>
            <ErrorText error={drop.error} />
            {sending !== undefined && <OnTheWay sending={sending} />}
          </>
        }
      >
        <Typography variant="body1">Drop hand-ins here: zips, folders, or one zip of the whole class.</Typography>
        <Typography variant="body2" color="textSecondary" gutterBottom>
          Each is unpacked, matched to a student by its names, and checked while you watch.
        </Typography>
      </FileDrop>
    </Box>
  )
}
