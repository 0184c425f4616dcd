import { describe, expect, it } from 'vitest'
import { OPERATIONS } from '../calculation/operations'
import { sumShapes } from './shapes'

describe('what the build writes out of the contract', () => {
  const shapes = sumShapes()

  it('has every operation, with something to ask and something to answer', () => {
    expect(Object.keys(shapes)).toEqual(OPERATIONS.map((o) => o.name))
    for (const { form, result } of Object.values(shapes)) {
      expect(form.kind === 'group' && form.fields.length).toBeGreaterThan(0)
      expect(result).toMatchObject({ type: 'object' })
    }
  })

  it('is plain data: nothing is lost on its way through a file', () => {
    expect(JSON.parse(JSON.stringify(shapes))).toEqual(shapes)
  })
})
