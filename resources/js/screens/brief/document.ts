/** A brief as it is written: what the core reads. */
export type Doc = Readonly<Record<string, unknown>>

/** One requirement of it, its fields by name. */
export type Asked = Readonly<Record<string, unknown>>

export const requirementsOf = (doc: Doc): Asked[] => {
  const list = doc.requirements
  return Array.isArray(list) ? (list as Asked[]) : []
}

const withRequirements = (doc: Doc, requirements: Asked[]): Doc => ({...doc, requirements})

/** A field set, or left out where the value is undefined. */
export function setField(doc: Doc, at: number, name: string, value: unknown): Doc {
  return withRequirements(
    doc,
    requirementsOf(doc).map((asked, index) => {
      if (index !== at) return asked
      if (value !== undefined) return {...asked, [name]: value}
      return Object.fromEntries(Object.entries(asked).filter(([field]) => field !== name))
    }),
  )
}

/** What findings and being late cost, and how points are rounded. */
export const markingOf = (doc: Doc): Asked => (doc.marking ?? {}) as Asked

/** A field of it set, or left out where the value is undefined; none of it where nothing is left. */
export function setMarking(doc: Doc, name: string, value: unknown): Doc {
  const {marking, ...others} = doc
  const fields = Object.entries({...(marking as Asked | undefined), [name]: value}).filter(
    ([, one]) => one !== undefined,
  )
  return fields.length === 0 ? others : {...others, marking: Object.fromEntries(fields)}
}

export const strike = (doc: Doc, at: number): Doc =>
  withRequirements(
    doc,
    requirementsOf(doc).filter((_, index) => index !== at),
  )

/** Moved by some places; as it was where there is no room. */
export function move(doc: Doc, at: number, by: number): Doc {
  const list = [...requirementsOf(doc)]
  const to = at + by
  const [moved] = to >= 0 && to < list.length ? list.splice(at, 1) : []
  if (moved === undefined) return doc
  list.splice(to, 0, moved)
  return withRequirements(doc, list)
}

/** With one more at the end, under an id of its own. */
export function add(doc: Doc, values: Asked): Doc {
  const taken = new Set(requirementsOf(doc).map(({id}) => String(id)))
  const kind = String(values.kind)
  let id = kind
  for (let nth = 2; taken.has(id); nth++) id = `${kind}-${nth}`
  return withRequirements(doc, [...requirementsOf(doc), {id, ...values}])
}

/** What was written, what was before, and what was taken back. */
export interface History {
  past: Doc[]
  doc: Doc
  future: Doc[]
  /** the field that was written last: typing on in it is one step */
  field: string | null
}

const MOST_STEPS = 200

export const beginWith = (doc: Doc): History => ({past: [], doc, future: [], field: null})

export function write(history: History, doc: Doc, field: string | null = null): History {
  if (doc === history.doc) return history
  if (field !== null && field === history.field) return {...history, doc, future: []}
  return {past: [...history.past, history.doc].slice(-MOST_STEPS), doc, future: [], field}
}

export function undo({past, doc, future}: History): History {
  const before = past.at(-1)
  return before === undefined
    ? {past, doc, future, field: null}
    : {past: past.slice(0, -1), doc: before, future: [doc, ...future], field: null}
}

export function redo({past, doc, future}: History): History {
  const [after, ...later] = future
  return after === undefined
    ? {past, doc, future, field: null}
    : {past: [...past, doc], doc: after, future: later, field: null}
}
