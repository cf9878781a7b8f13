/** Something that wants to stand level with a line. Heights and places are in pixels from the top of the paper. */
export interface Slot {
  key: string
  wanted: number
  height: number
}

export interface Levels {
  /** where each slot begins, in its order */
  tops: number[]
  /** where the last one ends */
  end: number
}

const GAP = 12
const FIRST = 8

/**
 * Puts every slot at the height it wants, or below the one before it where that is not free any more.
 *
 * @param chosen the place in the list of one that stands just where it wants, and which the others make room for: those
 * before it move up, at the worst beyond the top of the paper
 */
export function level(slots: Slot[], chosen: number | null = null): Levels {
  const tops: number[] = []
  let free = FIRST
  for (const [at, {wanted, height}] of slots.entries()) {
    const top = at === chosen ? Math.max(FIRST, wanted) : Math.max(free, wanted)
    tops.push(top)
    free = top + height + GAP
  }
  let room = tops[chosen ?? -1] ?? Infinity
  for (let at = (chosen ?? 0) - 1; at >= 0; at--) {
    room = Math.min(tops[at] ?? 0, room - GAP - (slots[at]?.height ?? 0))
    tops[at] = room
  }
  return {tops, end: free}
}

/**
 * The slots that are at least partly between two heights, by their places in the list: the first, and one past the
 * last.
 */
export function between(slots: Slot[], {tops}: Levels, from: number, to: number): [number, number] {
  const first = slots.findIndex(({height}, at) => (tops[at] ?? 0) + height >= from)
  if (first === -1) return [slots.length, slots.length]
  const beyond = tops.findIndex((top, at) => at >= first && top > to)
  return [first, beyond === -1 ? slots.length : beyond]
}

/** Where a scroller has to stand to show all that is from one height to another, or else its end. */
export function bringing(at: number, height: number, from: number, to: number, room = 60): number {
  if (from - room >= at && to + room <= at + height) return at
  if (to - from + 2 * room > height) return Math.max(0, Math.max(from - room, to + room - height))
  return Math.max(0, from - room < at ? from - room : to + room - height)
}
