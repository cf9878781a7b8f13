import {unzipSync} from 'fflate'
import {describe, expect, it} from 'vitest'
import {ApiError} from './apiError'
import {pack} from './files'
import {sendInParts, type UploadApi} from './chunkedUpload'

const noPause = () => Promise.resolve()

/** A fake server that stores what it receives, and fails when the test says so. */
function server(failures: (nth: number) => Error | 'lost' | null) {
  let kept = new Uint8Array()
  let nth = 0
  const view = () => ({id: 'u', bytes: 0, received: kept.length, part: 400})
  const way: UploadApi = {
    begin: () => Promise.resolve(view()),
    add: async (_id, offset, part) => {
      const failure = failures(nth++)
      if (failure instanceof Error) throw failure
      if (offset === kept.length) kept = new Uint8Array([...kept, ...new Uint8Array(await part.arrayBuffer())])
      if (failure === 'lost') throw new ApiError('No answer', 0)
      return view()
    },
  }
  return {way, kept: () => kept, calls: () => nth}
}

describe('a file that is sent in parts', () => {
  const bytes = new Uint8Array(1003).map((_, at) => at % 251)
  const file = {name: 'a.zip', bytes: new Blob([bytes])}

  it.each([
    ['all goes well', () => null, 3],
    ['a part does not reach the server', (nth: number) => (nth === 1 ? new ApiError('', 0) : null), 4],
    ['an answer is lost', (nth: number) => (nth === 0 ? ('lost' as const) : null), 4],
    ['the server is busy', (nth: number) => (nth < 3 ? new ApiError('', 429) : null), 6],
  ])('arrives whole when %s', async (_words, failures, calls) => {
    const {way, kept, calls: made} = server(failures)
    const told: number[] = []
    expect(await sendInParts(file, way, received => told.push(received), noPause)).toBe('u')
    expect(kept()).toEqual(bytes)
    expect(told.at(-1)).toBe(bytes.length)
    expect(made()).toBe(calls)
  })

  it('is given up at once when it is refused, and after eight tries when nothing arrives', async () => {
    const refusing = server(() => new ApiError('Too large.', 422))
    await expect(sendInParts(file, refusing.way, () => undefined, noPause)).rejects.toThrow('Too large.')
    expect(refusing.calls()).toBe(1)
    const silent = server(() => new ApiError('No answer', 0))
    await expect(sendInParts(file, silent.way, () => undefined, noPause)).rejects.toThrow('No answer')
    expect(silent.calls()).toBe(9)
  })
})

describe('what is chosen', () => {
  const at = (path: string, text: string) => ({path, file: new File([text], path.split('/').at(-1) ?? path)})

  it('is sent as it is when it is an archive', async () => {
    expect(await pack([at('site.ZIP', 'x')])).toMatchObject({name: 'site.ZIP', packed: false})
    expect(await pack([at('site.tar.gz', 'x')])).toMatchObject({packed: false})
  })

  it('is packed with its folders, whatever their names', async () => {
    const parcel = await pack([at('my site/index.html', 'a'), at('my site/images/Möwe.png', 'b')])
    expect(parcel).toMatchObject({name: 'my site', packed: true})
    const files = unzipSync(new Uint8Array(await parcel.bytes.arrayBuffer()))
    expect(Object.keys(files)).toEqual(['my site/index.html', 'my site/images/Möwe.png'])
  })

  it('says so when there is nothing in it', async () => {
    await expect(pack([])).rejects.toThrow('There is no file in it.')
  })
})
