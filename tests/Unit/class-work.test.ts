import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../resources/js/api/client'
import {deskAt, requirementAt, stripOf} from '../../resources/js/screens/class-sheet/address'
import {leastMet, type Row} from '../../resources/js/screens/class-sheet/order'
import {released} from '../../resources/js/screens/class-sheet/ReleaseAll'
import {inStrip, type Spot} from '../../resources/js/screens/class-sheet/strip'
import {chosenKinds, kindOf, lessonFile} from '../../resources/js/screens/lesson/lesson'
import {daysAgo, howFar} from '../../resources/js/screens/records/records'
import {meritsOf, noteOf, pointsOf, remarksOf} from '../../resources/js/screens/reply/content'

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

describe('the next lesson', () => {
  const slip = (rule: string, weight: Schemas['ClassSlip']['weight'], variant = '') =>
    ({rule, variant, weight}) as Schemas['ClassSlip']

  it('begins with the three commonest that are more than advice, or with what the address says', () => {
    const all = [
      slip('a', 'tidy'),
      slip('b', 'fault', 'v'),
      slip('c', 'departure'),
      slip('d', 'fault'),
      slip('e', 'fault'),
    ]
    expect(chosenKinds(all, null)).toEqual(['b,v', 'c', 'd'])
    expect(chosenKinds(all, ['a'])).toEqual(['a'])
    expect(chosenKinds(all, [])).toEqual([])
    expect(kindOf(slip('x/y', 'fault', 'z'))).toBe('x/y,z')
    expect(lessonFile('w', 'pdf', ['x/y,z', 'a'])).toBe('/api/assignments/w/lesson.pdf?kinds[]=x%2Fy%2Cz&kinds[]=a')
  })
})

describe('what is released', () => {
  it('tells letters, and who has to be told by hand', () => {
    expect(released({released: 2, letters: 1, withoutAddress: ['Corin']})).toBe(
      '2 replies released. 1 letter on the way. No address is known of Corin.',
    )
    expect(released({released: 1, letters: 0, withoutAddress: []})).toBe('1 reply released.')
  })

  it('has what is praised apart from the rest', () => {
    const content = {
      pages: [
        {file: '', items: [{kind: 'merit', text: 'Good'}]},
        {
          file: 'a.html',
          items: [
            {kind: 'merit', text: 'Well'},
            {kind: 'note', text: 'Mind'},
          ],
        },
      ],
    } as Schemas['ReplyContent']
    expect(meritsOf(content).map(({file, item}) => [file, item.text])).toEqual([
      ['', 'Good'],
      ['a.html', 'Well'],
    ])
    expect(remarksOf(content).map(({file, items}) => [file, items.length])).toEqual([['a.html', 1]])
  })

  it.each([
    ['partly', '4 of 5', {how: 'x', reason: null}],
    ['not-judged', 'not judged yet, 5 can be had', {how: null, reason: null}],
    ['not-judged', '4 of 5', {how: null, reason: 'seen'}],
  ] as const)('says the points of what is %s: %s', (outcome, words, more) => {
    expect(pointsOf({title: 't', outcome, awarded: 4, possible: 5, reasons: [], ...more})).toBe(words)
  })

  it.each([
    ['met', 5, null, null],
    ['partly', 4, null, '80 % of 5'],
    ['met', 5, 'seen', '80 % of 5'],
    ['not-judged', 0, null, null],
  ] as const)('says how points came about where they are %s, %d: %s', (outcome, awarded, reason, note) => {
    expect(noteOf({title: 't', outcome, awarded, possible: 5, reason, how: '80 % of 5', reasons: []})).toBe(note)
  })
})

describe('records', () => {
  it.each<[Schemas['RecordsView'], string]>([
    [{state: null, done: 0, of: 0}, ''],
    [{state: 'waiting', done: 0, of: 0}, 'They are about to be written; you need not wait here.'],
    [{state: 'waiting', done: 20, of: 33}, '20 of 33 hand-ins written.'],
    [{state: 'ready', done: 0, of: 0}, 'Kept for a day.'],
  ])('says how far they are: %j', (view, words) => {
    expect(howFar(view)).toBe(words)
  })

  it('counts days back over a leap year', () => {
    expect(daysAgo(366, new Date('2025-02-28T12:00:00Z'))).toBe('2024-02-28')
  })
})
