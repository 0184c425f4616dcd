import { z } from 'zod'
import { COUPLING_TYPES } from '../../core/register/couplingParts'
import { FEWEST_UNITS, MOST_UNITS } from '../../core/register/trainMachine'
import { figure, oneOf, rpm, tolerance } from '../calculation/fields'
import { issue } from '../issue'
import { usualSchemas } from '../methods/setUps'
import { pairId } from '../stages/feet'
import { boltsFields } from '../stages/move/entries'
import { growthFields } from '../stages/trainGrowth/entries'
import { partId } from '../stages/trainPlan/entries'
import { text, words } from '../text'
import { commonFields, footing } from './common'
import { hubs } from './coupledMachine'

const pair = z.object({ id: pairId, x: figure('distance-to-the-feet'), ...footing })

const unit = z.object({
  id: partId,
  name: words('machine-name', 40),
  bolts: boltsFields.optional(),
  feet: z
    .array(pair, { error: issue('feet-as-a-list') })
    .length(2, { error: issue('a-train-machine-has-two-pairs') }),
})

const joint = z.object({
  id: partId,
  name: words('coupling-name', 60),
  x: figure('coupling-centre-along-the-train'),
  stationary: oneOf('which-machine-the-readings-call-stationary', ['left', 'right']),
  rpm,
  couplingKind: words('kind-of-coupling', 60),
  couplingType: oneOf('kind-of-coupling-inside', COUPLING_TYPES).optional(),
  usual: z.discriminatedUnion('method', usualSchemas, { error: issue('unknown-method') }),
  hubs: hubs.optional(),
  tolerance,
})

/** What a person writes about three machines or more on one line; distances and shims in its own units. */
export const trainFields = z
  .object({
    drive: z.literal('train'),
    ...commonFields,
    machines: z
      .array(unit, { error: issue('give-the-machines-as-a-list') })
      .min(FEWEST_UNITS, { error: issue('a-train-is-three-to-eight') })
      .max(MOST_UNITS, { error: issue('a-train-is-three-to-eight') }),
    couplings: z.array(joint, { error: issue('give-the-couplings-as-a-list') }),
    /** The size cut for its bolts; shims of other sizes are not offered. */
    shimSize: text('shim-size', 20).optional(),
    growth: growthFields.optional(),
  })
  .superRefine(({ machines, couplings }, context) => {
    const fault = (path: PropertyKey[], message: string) =>
      context.addIssue({ code: 'custom', path, message })
    if (couplings.length !== machines.length - 1) fault(['couplings'], issue('a-coupling-between-each-two'))
    const ids = new Set<string>()
    for (const [list, parts] of [
      ['machines', machines],
      ['couplings', couplings],
    ] as const)
      parts.forEach(({ id }, i) => {
        if (ids.has(id)) fault([list, i, 'id'], issue('same-id', 'machines'))
        ids.add(id)
      })
    // Along the train everything stands behind what comes before it: feet, coupling, feet, coupling, feet.
    let reached = -Infinity
    machines.forEach(({ feet }, i) => {
      feet.forEach((f, j) => {
        if (feet.some((o, k) => k < j && o.id === f.id))
          fault(['machines', i, 'feet', j, 'id'], issue('same-pair-twice'))
        if (f.x <= reached) fault(['machines', i, 'feet', j, 'x'], issue('along-the-train'))
        reached = Math.max(reached, f.x)
      })
      const x = couplings[i]?.x
      if (x === undefined) return
      if (x <= reached) fault(['couplings', i, 'x'], issue('along-the-train'))
      reached = Math.max(reached, x)
    })
  })

export type TrainFields = z.infer<typeof trainFields>
