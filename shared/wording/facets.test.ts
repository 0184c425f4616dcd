import { describe, expect, it } from 'vitest'
import { facetValueWords } from './facets'
import { OWN_END } from './words'

describe('what jobs are narrowed down to', () => {
  it.each([
    ['state', 'open', 'open'],
    ['verdict', 'in', 'in band'],
    ['area', 'kiln yard', 'Kiln yard'],
    ['machine', 'cp-11', 'CP-11'],
    ['kind', 'belt', 'belts'],
    ['reason', 'planned', 'planned check'],
    ['customer', 'north hall', 'North hall'],
    ['person', 'p1', 'Somebody'],
    ['cause', 'sides-swapped', '3 and 9 swapped'],
    ['exception', 'yes', 'yes'],
    // What a later version wrote is shown as it stands.
    ['kind', 'rope', 'rope'],
  ] as const)('%s %s is called %s', (facet, value, name) => {
    expect(facetValueWords(facet, value, OWN_END, () => 'Somebody')).toBe(name)
  })
})
