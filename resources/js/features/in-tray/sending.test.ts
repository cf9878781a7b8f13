import {describe, expect, it} from 'vitest'
import {shareOf} from './OnTheWay'
import type {Sent} from '../../api/sending'

const sent = (bytes: number, received: number, state: Sent['state']): Sent => ({name: 'x', bytes, received, state})

describe('how far a drop is', () => {
  it.each<[string, Sent[], number]>([
    ['nothing yet', [sent(100, 0, 'waits')], 0],
    ['half of one', [sent(100, 50, 'on its way')], 50],
    ['by bytes and not by files', [sent(100, 100, 'there'), sent(300, 0, 'waits')], 25],
    ['what failed is not waited for', [sent(100, 10, 'failed'), sent(100, 100, 'there')], 100],
    ['a folder that packed smaller than it was', [sent(50, 80, 'there')], 100],
    ['files of no bytes', [sent(0, 0, 'there')], 0],
  ])('is true: %s', (_name, files, share) => {
    expect(shareOf(files)).toBe(share)
  })
})
