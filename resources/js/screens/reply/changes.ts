import type {Schemas} from '../../api/client'

type Content = Schemas['ReplyContent']

/** One thing in which a reply differs from the one that was released. */
export interface Change {
  kind: 'added' | 'taken out' | 'points'
  place: string
  text: string
}

/** What a reply would say otherwise than the released one does. */
export function changesBetween(released: Content, draft: Content): Change[] {
  const before = remarksOf(released)
  const after = remarksOf(draft)
  return [
    ...without(after, before).map(one => ({kind: 'added' as const, ...one})),
    ...without(before, after).map(one => ({kind: 'taken out' as const, ...one})),
    ...pointsBetween(released, draft),
  ]
}

type Placed = Pick<Change, 'place' | 'text'>

function remarksOf(content: Content): Placed[] {
  const words = [
    ...(content.opening === null ? [] : [{place: 'Opening words', text: content.opening.text}]),
    ...(content.closing === null ? [] : [{place: 'Closing words', text: content.closing.text}]),
  ]
  const mended = content.mended.map(({file, places}) => ({
    place: `${file}, mended`,
    text: places
      .flatMap(({lines}) => lines.flatMap(({step, text}) => (step === 'added' ? [text.trim()] : [])))
      .join(' '),
  }))
  const remarks = content.pages.flatMap(page =>
    page.items.map(item => ({
      place: `${page.file === '' ? 'The whole hand-in' : page.file}${item.line === null ? '' : `, line ${item.line}`}`,
      text: item.text,
    })),
  )
  return [...words, ...remarks, ...mended]
}

/** Those of the first that the second does not have, each as often as it is missing. */
function without(some: Placed[], others: Placed[]): Placed[] {
  const left = new Map<string, number>()
  const key = (one: Placed) => `${one.place}\n${one.text}`
  for (const other of others) left.set(key(other), (left.get(key(other)) ?? 0) + 1)
  return some.filter(one => {
    const count = left.get(key(one)) ?? 0
    left.set(key(one), count - 1)
    return count <= 0
  })
}

function pointsBetween(released: Content, draft: Content): Change[] {
  const before = new Map(released.points.map(point => [point.title, point]))
  const changed = draft.points.flatMap(point => {
    const was = before.get(point.title)
    before.delete(point.title)
    if (was !== undefined && was.awarded === point.awarded && was.possible === point.possible) return []
    const now = `${point.awarded} of ${point.possible}`
    return [{place: point.title, text: was === undefined ? now : `${was.awarded} of ${was.possible}, now ${now}`}]
  })
  const gone = [...before.values()].map(point => ({place: point.title, text: 'not asked any more'}))
  return [...changed, ...gone].map(one => ({kind: 'points' as const, ...one}))
}
