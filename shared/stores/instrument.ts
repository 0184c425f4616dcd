import { z } from 'zod'
import { oneOf } from '../calculation/fields'
import { issue } from '../issue'
import { INSTRUMENT_KINDS } from '../register/works'
import { uuid, words } from '../text'

/** What a person writes about an instrument of the stores. */
export const instrumentFields = z.object({
  name: words('instruments-name', 80),
  kind: oneOf('kind-of-instrument', INSTRUMENT_KINDS),
  /** The last day its calibration holds; null where it has none. */
  due: z.iso.date({ error: issue('day', 'calibration-due') }).nullable(),
  retired: z.boolean({ error: issue('in-use-or-not') }),
})
export type InstrumentFields = z.infer<typeof instrumentFields>

export const newInstrument = z.intersection(z.object({ id: uuid('instruments-id') }), instrumentFields)
export const instrumentChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  instrumentFields,
)

export type InstrumentRecord = InstrumentFields & { readonly id: string; readonly version: number }
