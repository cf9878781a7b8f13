import type {Schemas} from '../../lib/schemas'
import {isOpen} from '../../lib/cost'
import {hundredths} from '../../lib/numbers'

type Content = Schemas['ReplyContent']
type Item = Schemas['ReplyItem']

/** What is praised, each with the file that it is in. */
export const meritsOf = ({pages}: Content): {file: string; item: Item}[] =>
  pages.flatMap(({file, items}) => items.filter(item => item.kind === 'merit').map(item => ({file, item})))

/** The pages without what is praised, as far as there is something else. */
export const remarksOf = ({pages}: Content): Schemas['ReplyPage'][] =>
  pages
    .map(({file, items}) => ({file, items: items.filter(item => item.kind !== 'merit')}))
    .filter(({items}) => items.length > 0)

type Point = Schemas['ReplyPoint']

/** Points that nobody has judged yet: the total is provisional as long as there are any. */
export const openOf = ({possible, judged}: Content): number => (judged === null ? 0 : hundredths(possible - judged))

/** The points for a requirement; or that nobody has judged it yet. */
export const pointsOf = (point: Point): string =>
  isOpen(point) ? `not judged yet, ${point.possible} can be had` : `${point.awarded} of ${point.possible}`

/** How the points came about, where there is more to say than that all of it is there. */
export const noteOf = (point: Point): string | null =>
  isOpen(point) || (point.awarded >= point.possible && point.reason === null) ? null : (point.how ?? point.reason)
