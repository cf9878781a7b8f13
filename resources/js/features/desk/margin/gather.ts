import type {Finding, MarginItem} from './marks'

/** Findings that say the same, or stand on one line, as one that tells how many more there are. */
export interface Gathered {
  item: MarginItem
  /** what it stands for besides itself, from top to bottom */
  more: MarginItem[]
  /** why they are one */
  alike: 'kind' | 'line' | null
}

/** From so many on, findings that say the same are gathered; and findings on one line. */
const ENOUGH = 3

/**
 * Gathers repeated findings and crowded lines.
 *
 * @param opened keys of first ones that are shown one by one
 * @param chosen the key of what is chosen: what it is gathered in is open
 */
export function gather(items: MarginItem[], opened: ReadonlySet<string>, chosen: string | null): Gathered[] {
  const kinds = groups(items, ({rule, variant, requirement, state}) => [rule, variant, requirement, state].join('\n'))
  const gathered = new Map<string, Gathered>()
  const hidden = new Set<string>()
  const put = (group: MarginItem[], alike: 'kind' | 'line') => {
    const [first, ...more] = group
    if (first === undefined || group.some(one => hidden.has(one.key) || gathered.has(one.key))) return
    if (opened.has(first.key) || group.some(one => one.key === chosen && one.key !== first.key)) return
    gathered.set(first.key, {item: first, more, alike})
    for (const {key} of more) hidden.add(key)
  }
  for (const group of kinds) put(group, 'kind')
  for (const group of groups(
    items.filter(({key}) => !hidden.has(key)),
    ({line, file, state}) => (line === null ? null : [file, line, state].join('\n')),
  ))
    put(group, 'line')
  return items.filter(({key}) => !hidden.has(key)).map(item => gathered.get(item.key) ?? {item, more: [], alike: null})
}

/** Findings that have something in common, as many as are enough. */
function groups(items: MarginItem[], keyOf: (finding: Finding) => string | null): MarginItem[][] {
  const found = new Map<string, MarginItem[]>()
  for (const item of items) {
    const key = item.kind === 'finding' ? keyOf(item.finding) : null
    if (key !== null) found.set(key, [...(found.get(key) ?? []), item])
  }
  return [...found.values()].filter(group => group.length >= ENOUGH)
}

/** "line 12, 14 and 3 more": where those are that are not shown. */
export function linesOf(more: MarginItem[], most = 4): string {
  const lines = [...new Set(more.flatMap(({line}) => (line === null ? [] : [line])))]
  if (lines.length === 0) return ''
  const shown = lines.slice(0, most).join(', ')
  const rest = lines.length - most
  return `${lines.length === 1 ? 'line' : 'lines'} ${shown}${rest > 0 ? ` and ${rest} more` : ''}`
}
