import type {Finding, MarginItem} from './marks'

/** What is shown in the margin: null for whatever it is. */
export interface Filter {
  what: 'findings' | 'notes' | null
  weight: Finding['weight'] | null
  state: Finding['state'] | null
  /** the id of a rule */
  rule: string | null
  requirement: string | null
}

export const ALL: Filter = {what: null, weight: null, state: null, rule: null, requirement: null}

export const isAll = (filter: Filter): boolean => Object.values(filter).every(value => value === null)

/** Whether a finding is one of those that are wanted. */
export const isWanted = (filter: Filter, finding: Finding): boolean =>
  filter.what !== 'notes' &&
  (['weight', 'state', 'rule', 'requirement'] as const).every(
    part => filter[part] === null || filter[part] === finding[part],
  )

/** Whether something is shown in the margin. What is chosen, and what is being written, always is. */
export function isShown(filter: Filter, item: MarginItem, chosen: string | null): boolean {
  if (item.kind === 'draft' || item.key === chosen) return true
  return item.kind === 'finding' ? isWanted(filter, item.finding) : filter.what !== 'findings' && isAboutAny(filter)
}

/** Notes have no weight, rule or requirement: where one is asked for, they are out of the way. */
const isAboutAny = ({weight, state, rule, requirement}: Filter) =>
  weight === null && rule === null && requirement === null && (state === null || state === 'inked')

/** What can be chosen on a leaf: only what is there. */
export function choices(findings: Finding[]) {
  const of = <Part extends 'weight' | 'state' | 'rule' | 'requirement'>(part: Part) =>
    [...new Set(findings.map(one => one[part]))].filter(value => value !== null).sort()
  return {weight: of('weight'), state: of('state'), rule: of('rule'), requirement: of('requirement')}
}
