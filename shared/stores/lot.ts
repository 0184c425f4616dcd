import { z } from 'zod'
import type { ShimLot } from '../../core/stores/stock'
import { oneOf, positive, units, whole } from '../calculation/fields'
import { issue } from '../issue'
import { text, uuid } from '../text'

const MOST_SHIMS = 100_000

/** What may change about shims that lie somewhere. */
const mayChange = {
  size: text('shim-size', 20),
  place: text('where-the-shims-lie', 80),
  low: whole('order-at', 0, MOST_SHIMS),
}

/** Shims of one thickness, kind and size at one place, as they are put into the stores. */
export const newLot = z
  .object({
    id: uuid('lots-id'),
    units,
    thickness: positive('shim-thickness'),
    kind: oneOf('kind-of-shim', ['plain', 'laminated']),
    layer: positive('layer-of-the-shim').nullable(),
    counted: whole('how-many-shims', 0, MOST_SHIMS),
    ...mayChange,
  })
  .superRefine(({ kind, layer, thickness }, context) => {
    const fault = (message: string) => context.addIssue({ code: 'custom', path: ['layer'], message })
    if ((kind === 'laminated') !== (layer !== null)) fault(issue('layer-of-laminated'))
    else if (layer !== null && layer > thickness) fault(issue('layer-too-thick'))
  })
export type NewLot = z.infer<typeof newLot>

export const lotChange = z.object({
  version: z.int({ error: issue('give-the-version-you-changed') }).min(1),
  retired: z.boolean({ error: issue('in-use-or-not') }),
  ...mayChange,
})
export type LotChange = z.infer<typeof lotChange>

/** A count that rules from now on. */
export const newCount = z.object({
  id: uuid('counts-id'),
  counted: whole('how-many-lie-there', 0, MOST_SHIMS),
  author: uuid('who-counted'),
  version: z.int({ error: issue('give-the-version-you-changed') }).min(1),
})
export type NewCount = z.infer<typeof newCount>

/** A lot as the program keeps it. */
export type LotRecord = ShimLot & { readonly retired: boolean; readonly version: number }
