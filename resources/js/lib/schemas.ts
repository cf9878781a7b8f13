import type {components} from './schema'

/** What the API takes and answers, by name. */
export type Schemas = components['schemas']
