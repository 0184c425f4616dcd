import type { BeltLimitFields } from '../../shared/beltLimits/beltLimits'
import { demoId } from './works'

/** What the demo works judges its V-belt drives by: in line within a sixteenth at the groove. */
export const BELT_LIMITS: readonly (BeltLimitFields & { readonly id: string })[] = [
  {
    id: demoId('belt limits/V'),
    kind: 'v',
    source: 'Orrin Vale file 12, in line within 1/16 in at the groove',
    units: 'inch',
    offset: { by: 'groove', value: 0.0625 },
    angle: null,
    tilt: null,
    spread: null,
    serviceFactor: null,
    ratioAt180: null,
    factors: { new: null, 'run-in': null },
    gauge: null,
    fitting: null,
    takeUp: null,
    inForce: true,
  },
]
