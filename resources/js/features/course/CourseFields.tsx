import type {UseFormReturn} from 'react-hook-form'
import type {Schemas} from '../../lib/schemas'
import {Field} from '../../ui/form/form'
import {TimeZone} from '../../ui/form/TimeZone'

export type CourseWords = Schemas['CourseRequest']

/** What a course is called, where and when. */
export function CourseFields({form}: {form: UseFormReturn<CourseWords, unknown, CourseWords>}) {
  return (
    <>
      <Field form={form} name="title" label="Title" placeholder="Web Craft 1" />
      <Field form={form} name="school" label="School" />
      <Field form={form} name="term" label="Term" placeholder="Autumn 2026" />
      <TimeZone form={form} name="timeZone" helperText="Due times are written and read in it." />
    </>
  )
}
