import type {TextFieldProps} from '@mui/material'
import type {FieldValues, Path} from 'react-hook-form'
import {Field, type Form} from './form'

/** A password to be set, with how long it has to be. */
export function NewPassword<T extends FieldValues & {password?: string | null}>({
  form,
  label = 'Password',
  also = '',
  autoFocus = false,
}: {
  form: Form<T>
  /** what stands after how long it has to be */
  also?: string
} & Pick<TextFieldProps, 'label' | 'autoFocus'>) {
  return (
    <Field
      form={form}
      name={'password' as Path<T>}
      label={label}
      type="password"
      autoComplete="new-password"
      helperText={`10 characters or more${also}`}
      autoFocus={autoFocus}
    />
  )
}
