import {describe, expect, it} from 'vitest'
import type {Schemas} from '../../lib/schemas'
import {chosenKinds, kindOf, lessonFile} from './address'

describe('the next lesson', () => {
  const slip = (rule: string, weight: Schemas['ClassSlip']['weight'], variant = '') =>
    ({rule, variant, weight}) as Schemas['ClassSlip']

  it('begins with the three commonest that are more than advice, or with what the address says', () => {
    const all = [
      slip('a', 'tidy'),
      slip('b', 'fault', 'v'),
      slip('c', 'departure'),
      slip('d', 'fault'),
      slip('e', 'fault'),
    ]
    expect(chosenKinds(all, null)).toEqual(['b,v', 'c', 'd'])
    expect(chosenKinds(all, ['a'])).toEqual(['a'])
    expect(chosenKinds(all, [])).toEqual([])
    expect(kindOf(slip('x/y', 'fault', 'z'))).toBe('x/y,z')
    expect(lessonFile('w', 'pdf', ['x/y,z', 'a'])).toBe('/api/assignments/w/lesson.pdf?kinds[]=x%2Fy%2Cz&kinds[]=a')
  })
})
