import {expect, it} from 'vitest'
import {titleOf} from './rules'

it('calls a rule by its title', () => expect(titleOf('style/low-contrast')).toBe('Low contrast'))

it('calls a rule of an earlier version by its id', () => expect(titleOf('style/of-old')).toBe('style/of-old'))
