import {type FieldValues, type Path, type UseFormReturn} from 'react-hook-form'
import {Field} from './form'

/** The zones that this browser knows, and the reader's own first. */
const ZONES = Intl.supportedValuesOf('timeZone')

export const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone

/** The time zone of a course, chosen from those there are. */
export function TimeZone<T extends FieldValues>({form, name}: {form: UseFormReturn<T, unknown, T>; name: Path<T>}) {
  const chosen = String(form.getValues(name))
  const zones = [...new Set([chosen, HERE, ...ZONES])]
  return (
    <Field
      form={form}
      name={name}
      label="Time zone"
      select
      helperText="Due times are written and read in it."
      slotProps={{select: {native: true}, inputLabel: {shrink: true}}}
    >
      {zones.map(zone => (
        <option key={zone} value={zone}>
          {zone.replaceAll('_', ' ')}
        </option>
      ))}
    </Field>
  )
}
