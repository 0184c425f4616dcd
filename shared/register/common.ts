import { z } from 'zod'
import { notNegative, positive, rpm, units } from '../calculation/fields'
import { comeBackFields } from '../comeBack/rules'
import { issue } from '../issue'
import { words } from '../text'

/** What is written of every machine, whatever drives it. */
export const commonFields = {
  tag: words('tag', 20).regex(/^[A-Za-z0-9][A-Za-z0-9-]*$/, {
    error: issue('use-letters-digits-and-hyphens-in'),
  }),
  name: words('machine-name', 80),
  area: words('where-it-stands', 80),
  movableName: words('what-is-moved', 40),
  stationaryName: words('what-it-drives', 40),
  powerKw: positive('power'),
  units,
  rpm,
  /** Out of service: kept with its jobs, and no new one is opened. */
  retired: z.boolean({ error: issue('retired-or-not') }).optional(),
  /** When to come back; what it leaves open the works' rules say. */
  comeBack: comeBackFields.optional(),
}

export const shims = z
  .array(positive('shim-thickness'), { error: issue('shims-as-a-list') })
  .max(20, { error: issue('that-is-more-than-twenty-shims') })

/** What lies under a foot pair and what room it has. */
export const footing = {
  existing: z.object({ left: shims, right: shims }),
  maxPack: notNegative('highest-pack'),
  sidePlus: notNegative('room-toward-3'),
  sideMinus: notNegative('room-toward-9'),
  locked: z.boolean({ error: issue('say-whether-the-feet-are-locked') }),
}
