import {Box, Button, TextField, type TextFieldProps} from '@mui/material'
import type {UseMutationResult} from '@tanstack/react-query'
import type {ReactNode} from 'react'
import {Controller, type FieldValues, type Path, type UseFormReturn} from 'react-hook-form'
import {ApiError} from '../../lib/apiError'
import {ErrorText} from '../Remark'

export type Form<T extends FieldValues> = UseFormReturn<T, unknown, T>

/** Puts what the server says of a field beside it. */
/** @param ours what fields are called here that the server calls otherwise */
export function sayBeside<T extends FieldValues>(error: Error, form: Form<T>, ours: Record<string, string> = {}) {
  if (!(error instanceof ApiError)) return
  for (const [theirs, words] of Object.entries(error.fields)) {
    const name = ours[theirs] ?? theirs
    if (name in form.getValues()) form.setError(name as Path<T>, {message: words.join(' ')})
  }
}

/** What went wrong that belongs to no field. */
function leftOver(error: Error | null, fields: object): Error | null {
  return error instanceof ApiError && Object.keys(error.fields).some(name => name in fields) ? null : error
}

/** A form with its button; what the server refuses stands beside the field that it is about. */
export function ApiForm<T extends FieldValues>({
  form,
  keep,
  submit,
  label,
  children,
}: {
  form: Form<T>
  keep: UseMutationResult<unknown, Error, T>
  /** what the button says */
  submit: string
  label: string
  children: ReactNode
}) {
  return (
    <Box
      component="form"
      aria-label={label}
      noValidate
      onSubmit={event => void form.handleSubmit(values => keep.mutate(values))(event)}
      sx={{display: 'grid', gap: 2, maxWidth: 460, my: 2}}
    >
      {children}
      <ErrorText error={leftOver(keep.error, form.getValues())} />
      <Button type="submit" variant="contained" loading={keep.isPending} sx={{justifySelf: 'start'}}>
        {submit}
      </Button>
    </Box>
  )
}

/** A field of a form, with what is wrong with it below. */
export function Field<T extends FieldValues>({
  form,
  name,
  helperText,
  ...props
}: {form: Form<T>; name: Path<T>} & Omit<TextFieldProps, 'form' | 'name'>) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({field: {ref, ...field}, fieldState: {error}}) => (
        <TextField
          {...props}
          {...field}
          inputRef={ref}
          error={error !== undefined}
          helperText={error?.message ?? helperText}
        />
      )}
    />
  )
}
