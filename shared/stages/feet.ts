import { z } from 'zod'
import { figure, oneOf, positive } from '../calculation/fields'
import { issue } from '../issue'

/** Pairs nearer to one another than this (in or mm alike) are one pair typed twice. */
const LEAST_APART = 0.4

export const pairId = z
  .string({ error: issue('name-the-foot-pair') })
  .min(1)
  .max(40)

const machine = oneOf('which-machine', ['movable', 'stationary'])

const shimList = z
  .array(positive('shim-thickness'), { error: issue('shims-as-a-list') })
  .max(20, { error: issue('that-is-more-than-twenty-shims') })

/** One foot of a machine. */
export const footRef = z.object({ machine, pair: pairId, side: oneOf('side', ['left', 'right']) })

/** What is done under one foot. */
export const footChange = footRef.extend({ takenOut: shimList, putIn: shimList })

/** What is done under each foot. */
export const footChanges = z.array(footChange).max(48, { error: issue('too-many-pairs') })

/** How far each pair is pushed sideways. */
export const sideChanges = z
  .array(z.object({ machine, pair: pairId, moved: figure('side-move') }))
  .max(24, { error: issue('too-many-pairs') })

/** Refuses one pair named twice (at `named`, the field its name is in), and pairs all but on one another. */
export const refuseCrowdedPairs = (
  feet: readonly { readonly machine: string; readonly pair: string; readonly x: number }[],
  context: z.RefinementCtx,
  named: 'pair' | 'id' = 'pair',
): void =>
  feet.forEach((f, i) => {
    const earlier = feet.slice(0, i).filter((o) => o.machine === f.machine)
    if (earlier.some((o) => o.pair === f.pair))
      context.addIssue({ code: 'custom', path: [i, named], message: issue('same-pair-twice') })
    else if (earlier.some((o) => Math.abs(o.x - f.x) < LEAST_APART))
      context.addIssue({ code: 'custom', path: [i, 'x'], message: issue('pairs-at-one-place') })
  })
