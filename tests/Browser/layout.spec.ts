import {expect, test} from '@playwright/test'
import {curve, draw, leave, SLIP, type Survey, type SurveyPage} from '../../resources/js/features/desk/views/map/layout'

const page = (path: string, distance: number | null): SurveyPage => ({
  path,
  distance,
  title: path,
  heading: '',
  deadEnd: false,
  wayHome: true,
  linkedFrom: 1,
  parts: [],
  headings: [],
  pictures: [],
  sheets: [],
  words: 0,
  links: 0,
  menu: null,
  lacks: [],
  menuDiffers: [],
})

const link = (from: string, to: string, verdict = 'found') => ({
  from,
  to,
  label: '',
  place: 'body',
  verdict,
  line: 1,
  column: 1,
  also: [],
  back: false,
})

function survey(pages: SurveyPage[], links: ReturnType<typeof link>[], kind?: string): Survey {
  const order = pages.map(one => one.path)
  return {
    ready: true,
    pages,
    links,
    usualMenu: null,
    sheets: [],
    contrast: [],
    unjudged: [],
    unused: [],
    all: order,
    around: null,
    pattern:
      kind === undefined
        ? null
        : {kind, asked: true, order, expected: [{from: 'a', to: 'b', way: 'on', there: false}], met: 0, of: 1},
  }
}

const letters = (count: number) => Array.from({length: count}, (_, index) => String.fromCharCode(97 + index))

for (const [name, kind] of [
  ['layers', undefined],
  ['a ring', 'ring'],
  ['a chain', 'chain'],
] as const) {
  test(`no two slips lie on each other in ${name}, and none leaves the paper`, () => {
    for (const count of [1, 2, 3, 8, 20]) {
      const {slips, width, height} = draw(
        survey(
          letters(count).map((path, index) => page(path, index === 0 ? 0 : 1)),
          [],
          kind,
        ),
        720,
      )
      expect(slips).toHaveLength(count)
      for (const slip of slips) {
        expect(slip.x).toBeGreaterThanOrEqual(SLIP.width / 2)
        expect(slip.x).toBeLessThanOrEqual(width - SLIP.width / 2)
        expect(slip.y + SLIP.height / 2).toBeLessThanOrEqual(height)
        for (const other of slips) {
          if (other !== slip && count < 20)
            expect(
              Math.abs(slip.x - other.x) >= SLIP.width || Math.abs(slip.y - other.y) >= SLIP.height,
              `${slip.path} and ${other.path} of ${count}`,
            ).toBe(true)
        }
      }
    }
  })
}

test('a row holds pages that are equally far from home, and those nobody gets to are set apart below', () => {
  const drawing = draw(
    survey(
      [page('a', 0), page('b', 1), page('c', 1), page('d', 2), page('lost', null)],
      [link('a', 'b'), link('a', 'c'), link('c', 'd')],
    ),
    720,
  )
  const at = Object.fromEntries(drawing.slips.map(slip => [slip.path, slip.y]))
  expect(at.b).toBe(at.c)
  expect(at.a).toBeLessThan(at.b ?? 0)
  expect(at.d).toBeGreaterThan(at.b ?? 0)
  expect(at.lost).toBeGreaterThan(drawing.apart ?? Infinity)
})

test('two pages that link to each other are joined by one line, and a broken link stands beside it', () => {
  const {lines} = draw(
    survey([page('a', 0), page('b', 1)], [link('a', 'b'), link('b', 'a'), link('b', 'a', 'letter-case')]),
    720,
  )
  expect(lines.map(line => [line.link.from, line.back !== null, line.broken])).toEqual([
    ['a', true, false],
    ['b', false, true],
  ])
  expect(lines[0]?.bend).not.toEqual(lines[1]?.bend)
})

test('what a link names and is not there is drawn as a slip without a page', () => {
  const {slips} = draw(survey([page('a', 0)], [link('a', 'none.html', 'missing-file')]), 720)
  expect(slips.map(slip => [slip.path, slip.page !== null])).toEqual([
    ['a', true],
    ['none.html', false],
  ])
})

test('a pattern lies under the drawing, of a menu only what lacks', () => {
  const pages = [page('a', 0), page('b', 1), page('c', 1)]
  expect(draw(survey(pages, [], 'ring'), 720).wanted.map(({from, to, there}) => [from.path, to.path, there])).toEqual([
    ['a', 'b', false],
  ])
  const menu = survey(pages, [], 'menu')
  expect(
    draw(
      {...menu, pattern: menu.pattern && {...menu.pattern, expected: [{from: 'a', to: 'b', way: 'menu', there: true}]}},
      720,
    ).wanted,
  ).toEqual([])
})

test('lines begin and end at the border of a slip', () => {
  const from = {path: 'a', page: null, x: 100, y: 100}
  const to = {path: 'b', page: null, x: 400, y: 100}
  expect(leave(from, to)).toEqual({x: 100 + SLIP.width / 2 + 4, y: 100})
  expect(curve(from, to, {x: 250, y: 100})).toBe('M170 100 Q250 100 330 100')
})
