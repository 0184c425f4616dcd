import { describe, expect, it } from 'vitest'
import { tellingOf } from '../wording/telling'
import { boxReader, sensitivityFrom } from './boxes'

describe('boxes read one by one', () => {
  it('a figure, nothing yet, and what can’t be read, each by its key', () => {
    const { faults, number } = boxReader(tellingOf('inch', null))
    expect([
      number('18 + 25', 'a', 'displacement'),
      number('', 'b', 'displacement'),
      number('thick', 'c', 'displacement'),
      number('-1', 'd', 'displacement', 'zero'),
      number('0', 'e', 'distance', 'above'),
      number('0', 'f', 'displacement', 'zero'),
    ]).toEqual([43, null, null, null, null, 0])
    expect(Object.keys(faults)).toEqual(['c', 'd', 'e'])
    for (const said of Object.values(faults)) expect(said).toMatch(/^[A-Z].*\.$/)
  })

  it('a sensitivity means the same in other units and comes back', () => {
    expect(sensitivityFrom('0.5', 'inch')).toBe('0.05')
    expect(sensitivityFrom('0.05', 'metric')).toBe('0.5')
    expect(sensitivityFrom('a half', 'inch')).toBe('a half')
  })
})
