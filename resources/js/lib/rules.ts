import titles from './rule-titles.json'

const TITLES: Readonly<Record<string, string | undefined>> = titles

/** What people call a rule; its id where it is one of an earlier version. */
export const titleOf = (rule: string): string => TITLES[rule] ?? rule
