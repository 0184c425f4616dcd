import { z } from 'zod'
import { stepShim } from '../../core/feet/stepShim'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { units, whole } from './fields'
import { out } from './results'
import { cornerGaps, footSize } from './softFoot'

/** Stepped leaves for the wedge under a bent foot. */
export const stepShimOperation = defineOperation({
  name: 'step-shim',
  summary:
    'Stepped leaves that fill the wedge under a bent foot: how thick, how deep, what mismatch is left.',
  input: z.object({ units, corners: cornerGaps, footSize, leaves: whole('number-of-leaves', 1, 12) }),
  result: z.object({
    openEdge: z.enum(['outboard', 'inboard', 'outer', 'inner']),
    largestGap: out('displacement'),
    smallestGap: out('displacement'),
    leaves: z.array(z.object({ thickness: out('displacement'), depth: out('distance') })),
    mismatch: out('displacement'),
    diagonal: z
      .boolean()
      .describe('It also opens along its edge by more than the steps leave: machine the foot.'),
  }),
  compute: ({ corners, footSize: size, leaves }) => done(stepShim(corners, size, leaves)),
})
