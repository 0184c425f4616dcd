import { z } from 'zod'
import { oneOf, positive, whole } from './fields'

const thickness = positive('the shim thickness', 'displacement', 1e-4)

/** Shims on the shelf, plain or laminated. */
export const stock = z
  .array(
    z
      .object({
        thickness,
        count: whole('how many there are', 0, 100_000),
        kind: oneOf('the kind of shim', ['plain', 'laminated']),
        layer: positive('the layer thickness', 'displacement', 1e-4).optional(),
      })
      .superRefine((s, context) => {
        if (s.kind !== 'laminated') return
        if (s.layer === undefined)
          context.addIssue({
            code: 'custom',
            path: ['layer'],
            message: 'Give the layer of the laminated shim.',
          })
        else if (s.layer > s.thickness)
          context.addIssue({
            code: 'custom',
            path: ['layer'],
            message: 'A layer can’t be thicker than the whole shim. Check both.',
          })
        else if (s.thickness / s.layer > 200)
          context.addIssue({
            code: 'custom',
            path: ['layer'],
            message: 'That would be more than 200 layers. Check the layer.',
          })
      }),
    { error: 'Give the stock as a list of thickness, count and kind.' },
  )
  .max(60, { error: 'Give at most sixty kinds of shim.' })

/** Shims under a foot, bottom up. */
export const pack = z
  .array(thickness, { error: 'Give the shims as a list of thicknesses, bottom up.' })
  .max(20, { error: 'That is more than twenty shims under one foot. Check the list.' })
