import { z } from 'zod'
import { done } from '../../core/outcome'
import { couplingStrain } from '../../core/strain/couplingStrain'
import { defineOperation } from './defineOperation'
import { couplingLine, feet, notNegative, rpm, tolerance, units } from './fields'
import { lineOut, maybe, vhOut } from './results'
import { settled } from './settled'

const quantity = <M extends 'displacement' | 'slope'>(kind: M) =>
  z.object({
    name: z.string(),
    kind: z.literal(kind),
    value: maybe(kind),
    limit: maybe(kind),
    over: z.boolean(),
  })

/** Coupled against uncoupled: does the coupling bend the shafts? */
export const strainOperation = defineOperation({
  name: 'strain',
  summary: 'Coupled less uncoupled: whether the coupling bends the shafts, and how wrong its plan would be.',
  input: z.object({
    units,
    coupled: couplingLine,
    uncoupled: couplingLine,
    feet,
    tolerance,
    rpm: rpm.optional(),
    repeat: z
      .object({
        offset: notNegative('repeat-of-offset', 'displacement'),
        slope: notNegative('repeat-of-slope', 'slope'),
      })
      .optional(),
  }),
  result: z.object({
    difference: lineOut,
    feet: z.array(z.object({ id: z.string(), moveError: vhOut('displacement') })),
    quantities: z.array(z.union([quantity('displacement'), quantity('slope')])),
    strained: z.boolean(),
  }),
  compute: (given) => {
    const limits = settled(given.tolerance, given.rpm)
    if (!limits.ok) return limits
    return done(
      couplingStrain({
        ...given,
        tolerance: limits.value,
        repeat: given.repeat ?? { offset: 0, slope: 0 },
      }),
    )
  },
})
