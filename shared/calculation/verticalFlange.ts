import { issue } from '../issue'
import { z } from 'zod'
import { measureTaken } from '../../core/methods/dials'
import { ALIGNED, lineDifference, positionAt } from '../../core/frame/planes'
import { SOFT_FOOT_LIMIT } from '../../core/feet/softFoot'
import { flangeShims, sidewaysMove } from '../../core/flange/flangeShims'
import { done, refused } from '../../core/outcome'
import { trustLimits } from './couplingMethod'
import { defineOperation } from './defineOperation'
import {
  clock,
  couplingLine,
  figure,
  graduation,
  idText,
  notNegative,
  oneOf,
  positive,
  refuseTwins,
  rpm,
  tolerance,
  units,
} from './fields'
import { judgementOut, lineOut, maybe, out, trustOut, vhOut } from './results'
import { givenDials, requireOneKindOfFace, rimAndFaces } from '../methods/rimFace/contract'
import { judged } from './settled'

/** Vertical flange-mounted motor: shims under the flange bolts, and what parallel error is left. */
export const verticalFlangeOperation = defineOperation({
  name: 'vertical-flange',
  summary: 'Shims under the bolts of a vertical flange that take the tilt out, and the parallel error left.',
  input: z
    .object({
      units,
      ...rimAndFaces,
      flangePlane: figure('flange-plane', 'distance'),
      bolts: z
        .array(
          z.object({
            id: idText,
            clock,
            radius: positive('bolt-circle-radius', 'distance'),
            existing: notNegative('pack-under-the-bolt', 'displacement').optional(),
          }),
          { error: issue('give-the-bolts-as-a-list') },
        )
        .min(3, { error: issue('give-three-bolts-or-more') })
        .max(48, { error: issue('give-at-most-48-bolts') })
        .superRefine((list, context) => refuseTwins(list, context, 'bolts')),
      school: oneOf('shimming-school', ['coplanar', 'pairwise']).optional(),
      spigot: oneOf('spigot', ['tight', 'loose']),
      target: couplingLine.optional(),
      shimStep: notNegative('smallest-shim-difference', 'displacement').optional(),
      graduation,
      tolerance: tolerance.optional(),
      rpm: rpm.optional(),
    })
    .superRefine(requireOneKindOfFace),
  result: z.object({
    coupling: lineOut,
    shims: z.array(z.object({ id: z.string(), thickness: out('displacement'), pack: out('displacement') })),
    rock: maybe('displacement'),
    parallelAfter: vhOut('displacement'),
    move: z
      .object({
        v: out('displacement'),
        h: out('displacement'),
        distance: out('displacement'),
        toward: out(),
      })
      .nullable()
      .describe('Only with a loose spigot: how far and toward which clock position.'),
    advice: z.array(z.string()),
    judgement: judgementOut
      .nullable()
      .describe('The parallel error left, judged where a tolerance was given.'),
    trust: trustOut,
  }),
  compute: (given) => {
    const measured = measureTaken(givenDials(given), trustLimits(given))
    if (!measured.ok) return measured
    const { coupling, trust } = measured.value
    const rest = lineDifference(coupling, given.target ?? ALIGNED)
    const { v, h } = rest.slope
    const parallel = positionAt(rest, given.flangePlane)
    if (v === null || h === null || parallel.v === null || parallel.h === null)
      return refused('pair-off-plane', ['rim', 'readings'])
    const shims = flangeShims({
      slope: { v, h },
      bolts: given.bolts,
      school: given.school ?? 'coplanar',
      step: given.shimStep ?? 0,
    })
    if (!shims.ok) return shims
    const { rock } = shims.value
    const after = { v: parallel.v, h: parallel.h }
    const judgement = given.tolerance
      ? judged({ offset: after, slope: { v: 0, h: 0 } }, given.tolerance, given.rpm)
      : null
    if (judgement && !judgement.ok) return judgement
    const advice: string[] = []
    if (rock !== null && rock > SOFT_FOOT_LIMIT[given.units]) advice.push('flange-rocks')
    const off = judgement?.value.verdict === 'out'
    if (given.spigot === 'tight' && off) advice.push('frame-or-spigot')
    if (given.spigot === 'loose') advice.push('move-sideways')
    return done({
      coupling,
      ...shims.value,
      parallelAfter: after,
      move: given.spigot === 'loose' ? sidewaysMove(after) : null,
      advice,
      judgement: judgement ? judgement.value : null,
      // A vertical bar does not hang: no sag is right here.
      trust: { ...trust, flags: trust.flags.filter((f) => f !== 'no-sag') },
    })
  },
})
