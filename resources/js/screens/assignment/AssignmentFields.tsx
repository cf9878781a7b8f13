import type {UseFormReturn} from 'react-hook-form'
import {Field} from '../../parts/form/form'

export interface AssignmentWords {
  title: string
  summary: string
  /** as the clock of the course shows it; '' for none */
  due: string
}

/** What work is called, what the students are told, and until when. */
export function AssignmentFields({
  form,
  timeZone,
}: {
  form: UseFormReturn<AssignmentWords, unknown, AssignmentWords>
  timeZone: string
}) {
  return (
    <>
      <Field form={form} name="title" label="Title" autoFocus />
      <Field form={form} name="summary" label="Words for the students" multiline minRows={3} />
      <Field
        form={form}
        name="due"
        label="Due"
        type="datetime-local"
        helperText={`By the clock of ${timeZone.replaceAll('_', ' ')}. Without a due time nothing is late.`}
        slotProps={{inputLabel: {shrink: true}}}
      />
    </>
  )
}
