// @vitest-environment happy-dom
import {describe, expect, it} from 'vitest'
import {deskAt, requirementAt, stripOf} from './address'
import {leastMet, type Row} from './order'
import {released} from './ReleaseAll'
import {inStrip, type Spot} from './slipChoice'

const spot = (handInId: string, state: Spot['state']) => ({handInId, state, fingerprint: 'f'}) as Spot

describe('a strip of places', () => {
  it.each<[Spot[], number, string]>([
    [[], 0, 'Nothing found.'],
    [[spot('a', 'pencilled')], 0, '1 place in 1 hand-in, 1 in pencil.'],
    [[spot('a', 'inked'), spot('a', 'rubbed-out')], 0, '2 places in 1 hand-in, all decided.'],
    [[spot('a', 'inked'), spot('b', 'pencilled')], 300, '302 places, 1 in pencil.'],
  ])('says how many there are', (spots, more, words) => {
    expect(inStrip(spots, more)).toBe(words)
  })

  it('leads to places, requirements and kinds', () => {
    expect(deskAt({handInId: 'h', leaf: 'a b.html', line: 3, fingerprint: 'f'})).toBe(
      '/hand-ins/h?leaf=a+b.html&view=source&mark=f&line=3',
    )
    expect(requirementAt('h', 't')).toBe('/hand-ins/h?leaf=&view=source&requirement=t')
    expect(stripOf('w', {rule: 'link/x', variant: ''})).toBe('/assignments/w/class-sheet/slips?rule=link%2Fx')
  })
})

describe('the requirements that are least met', () => {
  const row = (name: string, ...shares: (number | null)[]) =>
    ({
      studentId: name,
      student: name,
      handInId: name === 'Nobody' ? null : name,
      cells: shares.map(share => ({share, points: 0, byHand: false})),
    }) as Row
  const asked = (id: string) => ({id, title: id, possible: 1, share: null, leftOut: false, byEye: false})

  it('are those that most fall short of, with who does', () => {
    const rows = [row('Abel', 1, 0.5), row('Briony', 0.25, 0), row('Nobody', null, null)]
    expect(
      leastMet(rows, [asked('one'), asked('two')]).map(({requirement, by}) => [
        requirement.id,
        by.map(one => `${one.row.student} ${one.percent}`),
      ]),
    ).toEqual([
      ['two', ['Briony 0', 'Abel 50']],
      ['one', ['Briony 25']],
    ])
    expect(leastMet([row('Abel', 1)], [asked('one')])).toEqual([])
  })
})

describe('what is released', () => {
  it('tells letters, and who has to be told by hand', () => {
    expect(released({released: 2, letters: 1, withoutAddress: ['Corin']})).toBe(
      '2 replies released. 1 letter on the way. No address is known of Corin.',
    )
    expect(released({released: 1, letters: 0, withoutAddress: []})).toBe('1 reply released.')
  })
})
