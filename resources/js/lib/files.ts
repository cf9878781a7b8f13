import {zip, type AsyncZippable} from 'fflate'

/** A file with its place in the folder that it came in; its bare name where it came alone. */
export interface Placed {
  path: string
  file: File
}

/** What is sent: one archive. */
export interface Parcel {
  name: string
  bytes: Blob
  /** whether a folder, or loose files, were packed here */
  packed: boolean
}

/** What was dropped, with all that is in its folders. */
export async function dropped(transfer: DataTransfer): Promise<Placed[]> {
  // The list is empty once the event is over: everything is taken before anything is awaited.
  const entries = [...transfer.items].map(item => item.webkitGetAsEntry()).filter(entry => entry !== null)
  if (entries.length === 0) return chosen(transfer.files)
  return (await Promise.all(entries.map(walk))).flat()
}

/** What was chosen, with its folders where a folder was. */
export const chosen = (files: FileList | null): Placed[] =>
  [...(files ?? [])].map(file => ({path: file.webkitRelativePath === '' ? file.name : file.webkitRelativePath, file}))

const walk = (entry: FileSystemEntry): Promise<Placed[]> =>
  entry.isDirectory ? inside(entry as FileSystemDirectoryEntry) : alone(entry as FileSystemFileEntry)

const alone = (entry: FileSystemFileEntry) =>
  new Promise<Placed[]>((resolve, reject) =>
    entry.file(file => resolve([{path: entry.fullPath.replace(/^\//, ''), file}]), reject),
  )

async function inside(folder: FileSystemDirectoryEntry): Promise<Placed[]> {
  const reader = folder.createReader()
  const all: Placed[] = []
  // A reader tells of a hundred at a time, and of none at the end.
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject))
    if (some.length === 0) return all
    for (const entry of some) all.push(...(await walk(entry)))
  }
}

/** By its name: what is no zip is refused by the server, in words of its own. */
export const isArchive = (name: string) => /\.(zip|rar|7z|tar|t?gz|tar\.\w+)$/i.test(name)

/** One archive of what was chosen: as it is, where it is one already. */
export async function pack(files: Placed[]): Promise<Parcel> {
  const [first] = files
  if (first === undefined) throw new Error('There is no file in it. Choose your site’s folder or zip.')
  if (files.length === 1 && isArchive(first.file.name)) return {name: first.file.name, bytes: first.file, packed: false}
  const contents: AsyncZippable = {}
  for (const {path, file} of files) contents[path] = new Uint8Array(await file.arrayBuffer())
  const bytes = await new Promise<Uint8Array>((resolve, reject) =>
    zip(contents, {level: 6}, (error, packed) => (error === null ? resolve(packed) : reject(error))),
  )
  const folder = first.path.includes('/') ? first.path.slice(0, first.path.indexOf('/')) : 'my site'
  return {name: folder, bytes: new Blob([bytes as BlobPart]), packed: true}
}
