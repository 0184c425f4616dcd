import { z } from 'zod'
import { feetFor } from '../../core/coupling/feet'
import { done } from '../../core/outcome'
import { toCore } from '../../core/units/unitSystem'
import { feetFromCore, lineToCore } from './conversion'
import { defineOperation } from './defineOperation'
import { couplingLine, feet, units } from './fields'

/** Offset and slope typed from any instrument: what the feet need. Nothing is there to trust or doubt. */
export const couplingValues = defineOperation({
  name: 'coupling-values',
  summary: 'The move at each foot pair from offset and slope at the coupling.',
  input: z.object({ units, feet, coupling: couplingLine, target: couplingLine.optional() }),
  compute: (given) => {
    const u = given.units
    const unknown = [given.coupling.offset, given.coupling.slope].some((vh) => vh.v === null || vh.h === null)
    return done({
      coupling: given.coupling,
      feet: feetFromCore(
        feetFor(
          lineToCore(given.coupling, u),
          given.feet.map((f) => ({ id: f.id, x: toCore(f.x, 'distance', u) })),
          given.target && lineToCore(given.target, u),
        ),
        u,
      ),
      trust: { sets: [], flags: unknown ? ['unproven', 'single-plane'] : ['unproven'] },
    })
  },
})
