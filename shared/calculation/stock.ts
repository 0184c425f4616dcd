import { issue } from '../issue'
import { z } from 'zod'
import { oneOf, positive, whole } from './fields'

const thickness = positive('shim-thickness', 'displacement', 1e-4)

/** Shims on the shelf, plain or laminated. */
export const stock = z
  .array(
    z
      .object({
        thickness,
        count: whole('how-many-there-are', 0, 100_000),
        kind: oneOf('kind-of-shim', ['plain', 'laminated']),
        layer: positive('layer-thickness', 'displacement', 1e-4).optional(),
      })
      .superRefine((s, context) => {
        if (s.kind !== 'laminated') return
        if (s.layer === undefined)
          context.addIssue({
            code: 'custom',
            path: ['layer'],
            message: issue('give-the-layer-of-the-laminated'),
          })
        else if (s.layer > s.thickness)
          context.addIssue({
            code: 'custom',
            path: ['layer'],
            message: issue('a-layer-cant-be-thicker-than'),
          })
        else if (s.thickness / s.layer > 200)
          context.addIssue({
            code: 'custom',
            path: ['layer'],
            message: issue('that-would-be-more-than-200'),
          })
      }),
    { error: issue('give-the-stock-as-a-list') },
  )
  .max(60, { error: issue('give-at-most-sixty-kinds-of') })

/** Shims under a foot, bottom up. */
export const pack = z
  .array(thickness, { error: issue('give-the-shims-as-a-list') })
  .max(20, { error: issue('that-is-more-than-twenty-shims') })
