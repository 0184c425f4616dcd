import { z } from 'zod'
import { fitHarmonic } from '../../core/fit/harmonicFit'
import { done, refusedBelow } from '../../core/outcome'
import { closureOf } from '../../core/trust/closure'
import { defineOperation } from './defineOperation'
import { readings, units } from './fields'
import { maybe, out } from './results'

/** One dial, one zero: the least-squares circle through its readings. */
export const fitReadingsOperation = defineOperation({
  name: 'fit-readings',
  summary: 'Fits constant, cosine and sine to one dial’s readings and reports how well they agree.',
  input: z.object({ units, readings }),
  result: z.object({
    constant: out('displacement'),
    cos: maybe('displacement'),
    sin: maybe('displacement'),
    residualRms: out('displacement'),
    worst: z.object({ clock: out(), residual: out('displacement') }),
    closure: maybe('displacement'),
    arc: out(),
    amplification: out(),
  }),
  compute: (input) => {
    const oneGroup = input.readings.map(({ clock, value }) => ({ clock, value }))
    const fit = fitHarmonic(oneGroup)
    if (!fit.ok) return refusedBelow(['readings'], fit.refusals)
    const { constants, cos, sin, residualRms, worst, arc, amplification } = fit.value
    return done({
      constant: constants[''] as number,
      cos,
      sin,
      residualRms,
      worst,
      closure: closureOf(oneGroup),
      arc,
      amplification,
    })
  },
})
