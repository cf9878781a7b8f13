import type {UseFormReturn} from 'react-hook-form'
import type {Schemas} from '../../lib/schemas'
import {Field, sayBeside, type Form} from '../../ui/form/form'

export interface AssignmentWords {
  title: string
  summary: string
  /** as the clock of the course shows it; '' for none */
  due: string
  /** as it was typed; '' for any number */
  attempts: string
  see: Schemas['AssignmentView']['studentsSee']
  late: 'yes' | 'no'
}

const SEE: Record<AssignmentWords['see'], string> = {
  nothing: 'Nothing',
  outcomes: 'Each requirement with its outcome',
  all: 'All that is pencilled, with places and remedies',
  points: 'All of it, with points and what each finding costs',
}

/** As the server takes them. */
export const asRequest = ({
  title,
  summary,
  due,
  attempts,
  see,
  late,
}: AssignmentWords): Schemas['AssignmentRequest'] => ({
  title,
  summary,
  due,
  most_attempts: attempts.trim() === '' ? null : Number(attempts),
  students_see: see,
  takes_late: late === 'yes',
})

/** What the server says of its fields, beside ours. */
export function sayBesideWords(error: Error, form: Form<AssignmentWords>) {
  sayBeside(error, form, {most_attempts: 'attempts', students_see: 'see'})
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
      <Field form={form} name="summary" label="Instructions" multiline minRows={3} />
      <Field
        form={form}
        name="due"
        label="Due"
        type="datetime-local"
        helperText={`By the clock of ${timeZone.replaceAll('_', ' ')}. Without a due time nothing is late.`}
        slotProps={{inputLabel: {shrink: true}}}
      />
      <Field
        form={form}
        name="late"
        label="After the due time"
        select
        slotProps={{select: {native: true}, inputLabel: {shrink: true}}}
      >
        <option value="yes">Students may still hand in, and it is marked as late</option>
        <option value="no">Students cannot hand in any more</option>
      </Field>
      <Field
        form={form}
        name="attempts"
        label="Attempts"
        type="number"
        helperText="How often a student may hand in; empty for any number. What you take in yourself is never refused."
        slotProps={{htmlInput: {min: 1, max: 99}, inputLabel: {shrink: true}}}
      />
      <Field
        form={form}
        name="see"
        label="What students see of the check before the due time"
        select
        slotProps={{select: {native: true}, inputLabel: {shrink: true}}}
      >
        {Object.entries(SEE).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Field>
    </>
  )
}
