import { issue } from '../../issue'
import { z } from 'zod'
import { headsSamples } from '../../../core/methods/dials'
import { methodFields } from '../../calculation/couplingMethod'
import { clock, figure } from '../../calculation/fields'
import type { MethodContract } from '../contract'

const input = z.object({
  ...methodFields,
  stationaryPlane: figure('plane-of-the-stationary-head', 'distance'),
  movablePlane: figure('plane-of-the-movable-head', 'distance'),
  samples: z
    .array(
      z.object({
        clock,
        movableClock: clock.optional(),
        stationary: figure('what-the-stationary-head-shows', 'displacement'),
        movable: figure('what-the-movable-head-shows', 'displacement'),
      }),
      { error: issue('give-the-samples-as-a-list') },
    )
    .min(3, { error: issue('give-samples-at-three-clock-positions') })
    .max(4000, { error: issue('give-at-most-4000-samples') }),
})

/** Electronic heads on both shafts through the contract. */
export const headsContract: MethodContract<z.infer<typeof input>> = {
  name: 'heads',
  summary:
    'Offset and slope at the coupling from electronic heads on both shafts, at positions or on an arc.',
  input,
  dials: headsSamples,
  // Both heads are read in one sample; a plane is a field of its own.
  place: (path) => (path.includes('plane') ? ['movablePlane'] : ['samples']),
}
