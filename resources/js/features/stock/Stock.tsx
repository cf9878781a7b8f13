import {Box, Button, FormControlLabel, Link, Switch, Typography} from '@mui/material'
import {useMutation, useQueryClient, useSuspenseQuery} from '@tanstack/react-query'
import {useState, type ChangeEvent} from 'react'
import {useForm} from 'react-hook-form'
import {useParams} from 'react-router'
import {api, unwrap} from '../../api/client'
import type {Schemas} from '../../lib/schemas'
import {course} from '../../api/courses'
import {stockRemarks} from '../../api/marking'
import {ApiForm, Field, sayBeside} from '../../ui/form/form'
import {Frame} from '../frame/Frame'
import {Empty, ErrorText} from '../../ui/Remark'
import {titleOf} from '../../lib/rules'
import {many} from '../../lib/when'
import {Screen} from '../frame/Screen'
import {BLANKS} from './words'

type Remark = Schemas['StockRemarkView']
type Words = Schemas['StockRemarkRequest']

export const Stock = () => (
  <Screen>
    <StockScreen />
  </Screen>
)

/** Notes kept for use again, those that are used most first. */
function StockScreen() {
  const {id = ''} = useParams()
  const {data: of} = useSuspenseQuery(course(id))
  const {data} = useSuspenseQuery(stockRemarks(id))
  const [open, setOpen] = useState<string | null>(null)
  return (
    <Frame steps={[{name: of.title, to: `/courses/${id}`}, {name: 'Stock remarks'}]}>
      <Typography variant="h1" gutterBottom>
        Stock remarks
      </Typography>
      <Typography variant="body2" color="textSecondary" sx={{maxWidth: 680, mb: 2}}>
        Remarks that are made again and again. On the desk, <b>r</b> finds one by a few letters and fills in its blanks:{' '}
        {Object.entries(BLANKS)
          .map(([blank, meaning]) => `${blank} is ${meaning}`)
          .join(', ')}
        .
      </Typography>
      {data.length === 0 && <Empty>None yet. Keep the first one below, or a note on the desk with k.</Empty>}
      <Box component="ul" aria-label="Stock remarks" sx={{listStyle: 'none', m: 0, p: 0}}>
        {data.map(remark => (
          <Box component="li" key={remark.id} sx={{borderTop: 1, borderColor: 'divider', py: 1.25}}>
            {open === remark.id ? (
              <Change courseId={id} remark={remark} onDone={() => setOpen(null)} />
            ) : (
              <Shown courseId={id} remark={remark} onChange={() => setOpen(remark.id)} />
            )}
          </Box>
        ))}
      </Box>
      <Box component="section" aria-labelledby="another" sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 2}}>
        <Typography variant="h2" id="another">
          Another
        </Typography>
        <Change courseId={id} remark={null} onDone={() => undefined} />
      </Box>
      <Files courseId={id} isEmpty={data.length === 0} />
    </Frame>
  )
}

function Shown({courseId, remark, onChange}: {courseId: string; remark: Remark; onChange: () => void}) {
  const queries = useQueryClient()
  const drop = useMutation({
    mutationFn: () =>
      unwrap(
        api.DELETE('/api/courses/{course}/stock-remarks/{stockRemark}', {
          params: {path: {course: courseId, stockRemark: remark.id}},
        }),
      ),
    onSettled: () => queries.invalidateQueries({queryKey: stockRemarks(courseId).queryKey}),
  })
  const told = [
    remark.shared ? 'shared in the course' : 'your own',
    remark.uses === 0 ? 'not used yet' : `used ${many(remark.uses, 'time')}`,
    ...(remark.rules.length === 0 ? [] : [`for ${remark.rules.slice(0, 3).map(titleOf).join(', ')}`]),
  ]
  return (
    <Box sx={{display: 'flex', gap: 2, alignItems: 'baseline'}}>
      <Box sx={{flex: 1, minWidth: 0}}>
        <Typography
          variant="body1"
          sx={{whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', color: remark.merit ? 'desk.merit' : 'desk.ink'}}
        >
          {remark.body}
        </Typography>
        <Typography variant="body2" color="textSecondary">
          {[...(remark.merit ? ['merit'] : []), ...told].join(', ')}
        </Typography>
        <ErrorText error={drop.error} />
      </Box>
      <Link component="button" variant="body2" aria-label={`Change “${remark.body}”`} onClick={onChange}>
        Change
      </Link>
      <Link component="button" variant="body2" aria-label={`Delete “${remark.body}”`} onClick={() => drop.mutate()}>
        Delete
      </Link>
    </Box>
  )
}

/** A remark that is changed, or a new one. */
function Change({courseId, remark, onDone}: {courseId: string; remark: Remark | null; onDone: () => void}) {
  const queries = useQueryClient()
  const values = {body: remark?.body ?? '', merit: remark?.merit ?? false, shared: remark?.shared ?? true}
  const form = useForm<Words>({defaultValues: values})
  const keep = useMutation({
    mutationFn: (body: Words) =>
      remark === null
        ? unwrap<unknown>(api.POST('/api/courses/{course}/stock-remarks', {params: {path: {course: courseId}}, body}))
        : unwrap<unknown>(
            api.PUT('/api/courses/{course}/stock-remarks/{stockRemark}', {
              params: {path: {course: courseId, stockRemark: remark.id}},
              body,
            }),
          ),
    onError: error => sayBeside(error, form),
    onSuccess: async () => {
      await queries.invalidateQueries({queryKey: stockRemarks(courseId).queryKey})
      form.reset(values)
      onDone()
    },
  })
  return (
    <ApiForm form={form} keep={keep} submit="Keep" label={remark === null ? 'Another remark' : 'Change the remark'}>
      <Field form={form} name="body" label="Remark" multiline minRows={2} />
      <Box>
        <Flick form={form} name="merit" label="It praises" />
        <Flick form={form} name="shared" label="Shared with all who mark this course" />
      </Box>
      {remark !== null && (
        <Button onClick={onDone} sx={{justifySelf: 'start'}}>
          Leave it as it was
        </Button>
      )}
    </ApiForm>
  )
}

function Flick({
  form,
  name,
  label,
}: {
  form: ReturnType<typeof useForm<Words>>
  name: 'merit' | 'shared'
  label: string
}) {
  const isOn = form.watch(name)
  return (
    <FormControlLabel
      label={label}
      control={<Switch size="small" checked={isOn} onChange={event => form.setValue(name, event.target.checked)} />}
    />
  )
}

/** In and out as a file. */
function Files({courseId, isEmpty}: {courseId: string; isEmpty: boolean}) {
  const queries = useQueryClient()
  const take = useMutation({
    mutationFn: async (file: File) =>
      unwrap(
        api.POST('/api/courses/{course}/stock-remarks/file', {
          params: {path: {course: courseId}},
          body: {text: await file.text(), shared: true},
        }),
      ),
    onSuccess: () => queries.invalidateQueries({queryKey: stockRemarks(courseId).queryKey}),
  })
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    if (file !== undefined) take.mutate(file)
    event.target.value = ''
  }
  return (
    <Box sx={{borderTop: 1, borderColor: 'divider', pt: 2, mt: 2}}>
      <Box sx={{display: 'flex', gap: 3}}>
        <Link component="label" variant="body2" sx={{cursor: 'pointer', '&:focus-within': {outline: 2}}}>
          Take in a file, CSV or YAML
          <input type="file" accept=".csv,.yaml,.yml,.txt" className="unseen" onChange={choose} />
        </Link>
        {!isEmpty &&
          ['csv', 'yaml'].map(form => (
            <Link key={form} variant="body2" href={`/api/courses/${courseId}/stock-remarks.${form}`} download>
              As {form.toUpperCase()}
            </Link>
          ))}
      </Box>
      <ErrorText error={take.error} />
      {take.data !== undefined && (
        <Typography variant="body2" role="status">
          {many(take.data.added, 'remark')} added, {take.data.known} there already.
        </Typography>
      )}
    </Box>
  )
}
