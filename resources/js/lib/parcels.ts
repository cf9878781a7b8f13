import {isArchive, type Placed} from './files'

/** Bytes up to which a parcel goes together with others, and how many of these go in one request. */
const SMALL = 400_000

const TOGETHER = 10

/** What was dropped, as it is sent: each archive by itself, each folder as one, and loose files together. */
export function parcelsOf(files: Placed[]): Placed[][] {
  const groups = new Map<string, Placed[]>()
  files.forEach((one, at) => {
    const folder = one.path.includes('/') ? one.path.slice(0, one.path.indexOf('/') + 1) : ''
    const key = folder === '' && isArchive(one.file.name) ? `archive ${at}` : `folder ${folder}`
    groups.set(key, [...(groups.get(key) ?? []), one])
  })
  return [...groups.values()]
}

/** What a parcel is called while it is on its way: its file's name, or its folder's. */
export function nameOf(group: Placed[]): string {
  const [first] = group
  if (first === undefined) return ''
  const folder = first.path.split('/')[0] ?? first.path
  return first.path.includes('/') || group.length === 1 ? folder : `${group.length} loose files`
}

/** Parcels by the request that they go in: small ones together, a large one alone and in parts. */
export function batchesOf(groups: Placed[][]): Placed[][][] {
  const isSmall = (group: Placed[]) => group.reduce((bytes, {file}) => bytes + file.size, 0) <= SMALL
  const small = groups.filter(isSmall)
  const batches = groups.filter(group => !isSmall(group)).map(group => [group])
  for (let from = 0; from < small.length; from += TOGETHER) batches.push(small.slice(from, from + TOGETHER))
  return batches
}

/** Does something with each of them, a few at a time. */
export async function inTurns<T>(all: T[], atOnce: number, act: (one: T) => Promise<void>): Promise<void> {
  let next = 0
  const worker = async () => {
    while (next < all.length) {
      const one = all[next++]
      if (one !== undefined) await act(one)
    }
  }
  await Promise.all(Array.from({length: Math.min(atOnce, all.length)}, worker))
}
