import type {Schemas} from '../../lib/schemas'

/** What a blank stands for at a place on a desk; what is not known is left as a blank to be filled in by hand. */
export interface Place {
  student: string
  file: string | null
  line: number | null
  /** the text of the line, and the column (1-based, in code points) that is meant in it */
  text: string
  column: number
}

/** Names of blanks, with what each stands for. */
export const BLANKS: Record<string, string> = {
  '{element}': 'the element at the place',
  '{file}': 'the file',
  '{line}': 'the number of the line',
  '{student.first}': 'the student’s first name',
}

const START = /<\/?([a-z][\w-]*)/i

/** The element whose tag begins at a place in a line, or the last that begins before it; null where there is none. */
export function elementAt(text: string, column: number): string | null {
  const points = Array.from(text)
  const here = START.exec(points.slice(column - 1).join(''))
  if (here?.index === 0) return (here[1] ?? '').toLowerCase()
  const before = [...points.slice(0, column).join('').matchAll(new RegExp(START, 'gi'))].at(-1)
  return (before?.[1] ?? here?.[1])?.toLowerCase() ?? null
}

/** As people are called: before the last name, or after it where a comma stands between. */
export function firstName(student: string): string {
  const [last = '', first] = student.split(',')
  return (first ?? last).trim().split(/\s+/)[0] ?? student
}

export function fillBlanks(body: string, {student, file, line, text, column}: Place): string {
  const values: Record<string, string | null> = {
    '{element}': elementAt(text, column),
    '{file}': file,
    '{line}': line === null ? null : String(line),
    '{student.first}': firstName(student),
  }
  return body.replace(/\{[\w.]+\}/g, blank => values[blank] ?? blank)
}

type Remark = Schemas['StockRemarkView']

/** Those used for this kind of finding first, then by how often they are used. */
export function forRule(remarks: Remark[], rule: string | null): Remark[] {
  const fits = ({rules}: Remark) => (rule !== null && rules.includes(rule) ? 0 : 1)
  return [...remarks].sort((one, other) => fits(one) - fits(other) || other.uses - one.uses)
}
