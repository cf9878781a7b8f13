import {useQueryClient} from '@tanstack/react-query'
import {useEffect} from 'react'
import type {Schemas} from '../../lib/schemas'
import {findings} from '../../api/desk'
import {isText, source} from '../../api/sites'
import {isWanted, type Filter} from './margin/filter'
import {inOrder, WHOLE, type Finding} from './margin/marks'
import type {Place} from './place'

/** Walks through the marks of a hand-in and through its leaves. What is on a leaf is asked for when it is come to. */
export function useSteps(
  desk: Schemas['Desk'],
  newest: () => Place,
  go: (change: Partial<Place>) => void,
  filter: Filter,
) {
  const queries = useQueryClient()
  const leaves = [WHOLE, ...desk.leaves.map(one => one.path)]
  const withMarks = leaves.filter(leaf => desk.tallies.some(one => one.leaf === leaf))
  const marksOn = async (leaf: string) =>
    inOrder(await queries.query(findings(desk.id, leaf))).filter(one => isWanted(filter, one))

  /** The one that is chosen, as far as it is known. */
  const chosen = (): Finding | undefined => {
    const {leaf, mark} = newest()
    return queries.getQueryData(findings(desk.id, leaf).queryKey)?.find(one => one.fingerprint === mark)
  }

  /** To the next mark, or to the first of the next leaf that has any; or back in the same way. */
  const step = async (by: 1 | -1) => {
    const {leaf, mark} = newest()
    const here = await marksOn(leaf)
    const at = here.findIndex(one => one.fingerprint === mark)
    const near = at === -1 ? here.at(by === 1 ? 0 : -1) : here[at + by]
    if (near !== undefined) {
      go({mark: near.fingerprint, line: near.line})
      return
    }
    const order = by === 1 ? leaves : [...leaves].reverse()
    const from = order.indexOf(leaf)
    const beyond = [...order.slice(from + 1), ...order.slice(0, from + 1)].filter(one => withMarks.includes(one))
    for (const other of beyond) {
      const next = (await marksOn(other)).at(by === 1 ? 0 : -1)
      if (next === undefined) continue
      go({leaf: other, mark: next.fingerprint, line: next.line})
      return
    }
  }

  const turnBy = (by: 1 | -1) => {
    const to = leaves.at((leaves.indexOf(newest().leaf) + by) % leaves.length)
    if (to !== undefined) go({leaf: to, mark: null, line: null})
  }

  return {chosen, step, turnBy}
}

/** Asks ahead for the leaf that comes next, so that turning to it waits for nothing. */
export function useNextLeafAhead(desk: Schemas['Desk'], leaf: string) {
  const queries = useQueryClient()
  const {id, leaves} = desk
  useEffect(() => {
    const next = leaves[leaves.findIndex(one => one.path === leaf) + 1]
    if (next === undefined) return
    const wait = setTimeout(() => {
      // What cannot be had ahead is asked for again when it is wanted, and the failure is shown then.
      queries.query(findings(id, next.path)).catch(() => undefined)
      if (isText(next)) queries.query(source({handIn: id}, next.path)).catch(() => undefined)
    }, 400)
    return () => clearTimeout(wait)
  }, [queries, id, leaves, leaf])
}
