import {type FieldValues, type Path, type UseFormReturn} from 'react-hook-form'
import {Field} from './form'

/** The zones that this browser knows, and the reader's own first. */
const ZONES = Intl.supportedValuesOf('timeZone')

export const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone

/** A time zone, chosen from those there are. */
export function TimeZone<T extends FieldValues>({
  form,
  name,
  helperText,
  none,
}: {
  form: UseFormReturn<T, unknown, T>
  name: Path<T>
  helperText: string
  /** what it means to choose none; left out where one has to be chosen */
  none?: string
}) {
  const chosen = String(form.getValues(name))
  const zones = [...new Set([chosen, HERE, ...ZONES])].filter(zone => zone !== '')
  return (
    <Field
      form={form}
      name={name}
      label="Time zone"
      select
      helperText={helperText}
      slotProps={{select: {native: true}, inputLabel: {shrink: true}}}
    >
      {none !== undefined && <option value="">{none}</option>}
      {zones.map(zone => (
        <option key={zone} value={zone}>
          {zone.replaceAll('_', ' ')}
        </option>
      ))}
    </Field>
  )
}
