import type {Schemas} from '../../lib/schemas'

/** The desk at the place of a slip. */
export const deskAt = ({
  handInId,
  leaf,
  line,
  fingerprint,
}: Pick<Schemas['SlipPlace'], 'handInId' | 'leaf' | 'line' | 'fingerprint'>) =>
  `/hand-ins/${handInId}?${new URLSearchParams({
    leaf,
    view: 'source',
    mark: fingerprint,
    ...(line === null ? {} : {line: String(line)}),
  }).toString()}`

/** All places of a kind of slip in the class. */
export const stripOf = (assignment: string, {rule, variant}: Pick<Schemas['ClassSlip'], 'rule' | 'variant'>) =>
  `/assignments/${assignment}/class-sheet/slips?${new URLSearchParams({rule, ...(variant === '' ? {} : {variant})}).toString()}`

/** The desk at a requirement. */
export const requirementAt = (handIn: string, requirement: string) =>
  `/hand-ins/${handIn}?${new URLSearchParams({leaf: '', view: 'source', requirement}).toString()}`
