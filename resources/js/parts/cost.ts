/** What a finding costs, such as "-1.25"; '' where it costs nothing. */
export const cost = (points: number): string => (points > 0 ? `-${points}` : '')

/** Points that nobody has judged yet, in words; '' where there are none. */
export const notJudged = (open: number): string =>
  open > 0 ? `${open} ${open === 1 ? 'point' : 'points'} not judged yet` : ''
