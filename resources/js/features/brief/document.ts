/** A brief as it is written: what the core reads. */
export type Doc = Readonly<Record<string, unknown>>

/** One requirement of it, its fields by name. */
export type Asked = Readonly<Record<string, unknown>>

const listOf = (doc: Doc, name: string): unknown[] => {
  const list = doc[name]
  return Array.isArray(list) ? list : []
}

export const requirementsOf = (doc: Doc): Asked[] => listOf(doc, 'requirements') as Asked[]

/** Those that are only proposed: in pencil, and no part of the brief until they are inked. */
export const proposedOf = (doc: Doc): Asked[] => listOf(doc, 'proposed') as Asked[]

/** Rules that stay silent; a bare name stands for one of them everywhere. */
export const ignoredOf = (doc: Doc): Asked[] =>
  listOf(doc, 'ignore').map(one => (typeof one === 'string' ? {rules: [one]} : (one as Asked)))

/** A field set, or left out where the value is undefined. */
const withField = (fields: Asked, name: string, value: unknown): Asked =>
  value === undefined
    ? Object.fromEntries(Object.entries(fields).filter(([field]) => field !== name))
    : {...fields, [name]: value}

/** A list set, or left out where nothing is in it. */
const withList = (doc: Doc, name: string, list: unknown[]): Doc =>
  withField(doc, name, list.length === 0 ? undefined : list)

const withRequirements = (doc: Doc, requirements: Asked[]): Doc => ({...doc, requirements})

/** A field of the brief itself. */
export const setOwn = (doc: Doc, name: string, value: unknown): Doc => withField(doc, name, value)

export function setField(doc: Doc, at: number, name: string, value: unknown): Doc {
  return withRequirements(
    doc,
    requirementsOf(doc).map((asked, index) => (index === at ? withField(asked, name, value) : asked)),
  )
}

export const setIgnored = (doc: Doc, at: number, name: string, value: unknown): Doc =>
  withList(
    doc,
    'ignore',
    ignoredOf(doc).map((one, index) => (index === at ? withField(one, name, value) : one)),
  )

export const addIgnored = (doc: Doc): Doc => withList(doc, 'ignore', [...ignoredOf(doc), {rules: []}])

export const strikeIgnored = (doc: Doc, at: number): Doc =>
  withList(
    doc,
    'ignore',
    ignoredOf(doc).filter((_, index) => index !== at),
  )

/** With what a proposed brief asks for in pencil, but for what stands there already. */
export function propose(doc: Doc, proposal: Doc): Doc {
  const bare = (asked: Asked) => JSON.stringify({...asked, id: null})
  const there = new Set([...requirementsOf(doc), ...proposedOf(doc)].map(bare))
  const more = requirementsOf(proposal).filter(asked => !there.has(bare(asked)))
  return withList(doc, 'proposed', [...proposedOf(doc), ...more])
}

/** One that was proposed becomes part of the brief, at its end. */
export function ink(doc: Doc, at: number): Doc {
  const inked = proposedOf(doc)[at]
  return inked === undefined ? doc : add(rubOut(doc, at), inked)
}

export const inkAll = (doc: Doc): Doc => proposedOf(doc).reduce(before => ink(before, 0), doc)

export const rubOut = (doc: Doc, at: number): Doc =>
  withList(
    doc,
    'proposed',
    proposedOf(doc).filter((_, index) => index !== at),
  )

export const rubOutAll = (doc: Doc): Doc => withList(doc, 'proposed', [])

/** What was read as text, with what is in pencil beside it: a text has no pencil. */
export const withPencilOf = (doc: Doc, read: Doc): Doc => withList(read, 'proposed', proposedOf(doc))

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
  const name = String(values.id ?? values.kind)
  let id = name
  for (let nth = 2; taken.has(id); nth++) id = `${name}-${nth}`
  return withRequirements(doc, [...requirementsOf(doc), {...values, id}])
}

/** What was written, what was before, and what was taken back. */
export interface History {
  past: Doc[]
  doc: Doc
  future: Doc[]
  /** the field that was written last: typing on in it is one step */
  field: string | null
}

const MAX_STEPS = 200

export const beginWith = (doc: Doc): History => ({past: [], doc, future: [], field: null})

export function write(history: History, doc: Doc, field: string | null = null): History {
  if (doc === history.doc) return history
  if (field !== null && field === history.field) return {...history, doc, future: []}
  return {past: [...history.past, history.doc].slice(-MAX_STEPS), doc, future: [], field}
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
