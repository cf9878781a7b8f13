import {describe, expect, it} from 'vitest'
import {batchesOf, inTurns, nameOf, parcelsOf} from './parcels'

const at = (path: string, size = 1) => ({path, file: new File([new Uint8Array(size)], path.split('/').at(-1) ?? path)})
const paths = (groups: {path: string}[][]) => groups.map(group => group.map(({path}) => path))

describe('what is dropped into the in-tray', () => {
  it('is sent as archives by themselves, folders as one each, and loose files together', () => {
    const files = ['a.zip', 'b.ZIP', 'c.rar', 'site/index.html', 'site/x.zip', 'index.html', 'other/a.html', 'gull.png']
    expect(paths(parcelsOf(files.map(path => at(path))))).toEqual([
      ['a.zip'],
      ['b.ZIP'],
      ['c.rar'],
      ['site/index.html', 'site/x.zip'],
      ['index.html', 'gull.png'],
      ['other/a.html'],
    ])
  })

  it('is called by its file, its folder, or how many loose files there are', () => {
    const groups = parcelsOf(['a.zip', 'site/a.html', 'site/b.html', 'x.html', 'y.png'].map(path => at(path)))
    expect(groups.map(nameOf)).toEqual(['a.zip', 'site', '2 loose files'])
  })

  it('goes ten small ones at a time, and a large one alone', () => {
    const groups = [...Array.from({length: 12}, (_, nth) => [at(`${nth}.zip`)]), [at('large.zip', 500_000)]]
    expect(batchesOf(groups).map(batch => batch.length)).toEqual([1, 10, 2])
  })

  it('is done a few at a time, each once', async () => {
    let now = 0
    let most = 0
    const done: number[] = []
    await inTurns([1, 2, 3, 4, 5], 2, async one => {
      most = Math.max(most, ++now)
      await Promise.resolve()
      now--
      done.push(one)
    })
    expect(most).toBe(2)
    expect(done).toEqual([1, 2, 3, 4, 5])
  })
})
