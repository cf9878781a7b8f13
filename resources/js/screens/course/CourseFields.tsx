import type {UseFormReturn} from 'react-hook-form'
import type {Schemas} from '../../api/client'
import {Field} from '../../parts/form/form'
import {TimeZone} from '../../parts/form/TimeZone'

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
