import { z } from 'zod'
import { done, refusedBelow } from '../../core/outcome'
import { fitHarmonic } from '../../core/fit/harmonicFit'
import { closureOf } from '../../core/trust/closure'
import { defineOperation } from './defineOperation'
import { readings, units } from './fields'

/** One dial, one zero: the least-squares circle through its readings, in their own unit. */
export const fitReadings = defineOperation({
  name: 'fit-readings',
  summary: 'Fits constant, cosine and sine to one dial’s readings and reports how well they agree.',
  input: z.object({ units, readings }),
  compute: (input) => {
    const oneGroup = input.readings.map(({ clock, value }) => ({ clock, value }))
    const fit = fitHarmonic(oneGroup)
    if (!fit.ok) return refusedBelow(['readings'], fit.refusals)
    const { constants, cos, sin, residualRms, worst, arc, amplification } = fit.value
    return done({
      constant: constants[''],
      cos,
      sin,
      residualRms,
      worst: { clock: worst.clock, residual: worst.residual },
      closure: closureOf(oneGroup),
      arc,
      amplification,
    })
  },
})
