import type {Schemas} from '../../lib/schemas'

type Slip = Pick<Schemas['ClassSlip'], 'rule' | 'variant'>

/** So many slips are chosen at first. */
const FIRST = 3

/** So many fit into a lesson. */
export const MOST = 12

/** A kind of slip as it stands in an address. */
export const kindOf = ({rule, variant}: Slip) => (variant === '' ? rule : `${rule},${variant}`)

/** What is chosen: as the address says, or what the most have in common. */
export function chosenKinds(slips: Schemas['ClassSlip'][], named: string[] | null): string[] {
  if (named !== null) return named
  // Advice is left for those who ask for it.
  return slips
    .filter(slip => slip.weight !== 'tidy')
    .slice(0, FIRST)
    .map(kindOf)
}

/** The address of a handout in one of its forms. */
export const lessonFile = (assignment: string, ending: 'md' | 'html' | 'pdf', kinds: string[]) =>
  `/api/assignments/${assignment}/lesson.${ending}?${kinds.map(kind => `kinds[]=${encodeURIComponent(kind)}`).join('&')}`
