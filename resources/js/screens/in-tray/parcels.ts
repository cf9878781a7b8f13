import {pack, type Parcel, type Placed} from '../../parts/files'

const isArchive = (name: string) => /\.(zip|rar|7z|tar|t?gz|tar\.\w+)$/i.test(name)

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

/** Sends parcels, a few at a time, each packed when its turn comes. */
export async function inTurns(
  groups: Placed[][],
  atOnce: number,
  send: (parcel: Parcel, at: number) => Promise<void>,
): Promise<void> {
  let next = 0
  const worker = async () => {
    while (next < groups.length) {
      const at = next++
      const group = groups[at]
      if (group !== undefined) await send(await pack(group), at)
    }
  }
  await Promise.all(Array.from({length: Math.min(atOnce, groups.length)}, worker))
}
