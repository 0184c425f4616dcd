import { describe, expect, it } from 'vitest'
import type { UnitSystem } from '../../core/units/unitSystem'
import { readExample } from '../../scripts/docs/methodPages'
import type { Operation } from '../../shared/calculation/operation'
import { OPERATIONS } from '../../shared/calculation/operations'
import { inputToCore, resultFromCore } from '../../shared/calculation/unitConversion'

const other: Readonly<Record<UnitSystem, UnitSystem>> = { inch: 'metric', metric: 'inch' }

/** These carry another operation's input, which has units of its own, or break ties by last digits. */
const LEFT_OUT = ['uncertainty', 'compare-sets', 'backlash', 'train-plan']
/** Limits and advice that the trade rounds differently in inches and in millimetres. */
const OWN_ROUNDING = /closureLimit|^limit$|^limits/

const run = async (operation: Operation, input: unknown): Promise<unknown> => {
  const answer = await operation.run(input)
  if (!answer.ok) throw new Error(`${operation.name}: ${answer.error.message}`)
  return answer.result
}

/** Every number of two results, by path; words must be the same. */
const compare = (a: unknown, b: unknown, path: string): void => {
  if (OWN_ROUNDING.test(path)) return
  if (typeof a === 'number' && typeof b === 'number')
    expect(Math.abs(a - b), path).toBeLessThanOrEqual(1e-7 + 1e-7 * Math.abs(a))
  else if (a && typeof a === 'object' && b && typeof b === 'object') {
    expect(Object.keys(b), path).toEqual(Object.keys(a))
    for (const key of Object.keys(a))
      compare(
        (a as Record<string, unknown>)[key],
        (b as Record<string, unknown>)[key],
        path === '' ? key : `${path}.${key}`,
      )
  } else expect(b, path).toEqual(a)
}

describe('the same job in inches and in millimetres', () => {
  it.each(OPERATIONS.filter((o) => !LEFT_OUT.includes(o.name)).map((o) => [o.name, o] as const))(
    '%s gives the same physical answer',
    async (_, operation) => {
      const given = readExample(operation.name).input as { units: UnitSystem }
      const there = other[given.units]
      const inCore = inputToCore(operation.input, operation.input.parse(given), given.units)
      const converted = { ...(resultFromCore(operation.input, inCore, there) as object), units: there }
      const here = inputToCore(operation.result, await run(operation, given), given.units)
      const turned = inputToCore(operation.result, await run(operation, converted), there)
      compare(here, turned, '')
    },
  )
})
