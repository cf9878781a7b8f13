import {expect, it} from 'vitest'
import {bytes} from './bytes'

it.each([
  [0, '0 bytes'],
  [1, '1 byte'],
  [999, '999 bytes'],
  [1_000, '1 kB'],
  [3_240_000, '3.2 MB'],
  [48_700_000, '49 MB'],
  [20_000_000_000, '20 GB'],
])('says %i bytes as %s', (count, words) => expect(bytes(count)).toBe(words))
