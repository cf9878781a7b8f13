import type {Schemas} from '../../api/client'

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

/** The points for a requirement. What could not be judged is left out of the sum. */
export const pointsOf = ({outcome, awarded, possible, how, reason}: Schemas['ReplyPoint']): string =>
  outcome === 'unclear' && how === null && reason === null ? 'not judged' : `${awarded} of ${possible}`
