import type {Schemas} from '../../lib/schemas'

type Judging = Schemas['Judging']

/** Sites before and after the one that is judged whose pages are loaded too. */
const AROUND = 1

/** Whether the pages of a site are loaded: a few at a time are, however large the class. */
export const isNear = (index: number, at: number): boolean => Math.abs(index - at) <= AROUND

/** The next hand-in that nobody has judged: after a place, and then from the start on; -1 where none is left. */
export function nextToJudge(handIns: Judging['handIns'], after: number): number {
  const isOpen = (index: number) => handIns[index]?.points === null
  for (let step = 1; step <= handIns.length; step++) {
    const index = (after + step) % handIns.length
    if (isOpen(index)) return index
  }
  return -1
}

/** The same with one more judged. */
export const judgedOf = (data: Judging, handIn: string, {points, words}: Schemas['OutcomeChoice']): Judging => ({
  ...data,
  handIns: data.handIns.map(one => (one.handInId === handIn ? {...one, points, reason: words} : one)),
})
