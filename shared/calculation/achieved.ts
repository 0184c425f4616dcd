import { issue } from '../issue'
import { z } from 'zod'
import { compareAchieved } from '../../core/coupling/achieved'
import { lineOfMoves } from '../../core/coupling/feet'
import { lineDifference } from '../../core/frame/planes'
import { done, refused } from '../../core/outcome'
import { doubtOfCovariance, doubtOfSd, typicalSd } from '../../core/uncertainty/changeDoubt'
import { covarianceAfterMove } from '../../core/uncertainty/linear'
import { NO_SPREAD } from '../../core/uncertainty/spread'
import { covariance, covarianceToCore } from './covariance'
import { defineOperation } from './defineOperation'
import { couplingLine, feet, figure, idText, lineSd, notNegative, units } from './fields'
import { lineOut, out } from './results'

const moves = z
  .array(
    z.object({
      id: idText,
      v: figure('planned-lift', 'displacement'),
      h: figure('planned-side-move', 'displacement'),
    }),
    { error: issue('give-the-planned-moves-as-a') },
  )
  .min(2, { error: issue('give-the-planned-move-at-two') })

const input = z
  .object({
    units,
    before: couplingLine,
    after: couplingLine,
    planned: moves,
    made: moves
      .optional()
      .describe('What was really done, when that differs: the change is held against it, not the plan.'),
    feet,
    sd: lineSd.optional().describe('Standard deviations of one measurement.'),
    cov: covariance
      .optional()
      .describe('Covariance of one measurement, as uncertainty gives it; sharper than sd alone.'),
    repeat: couplingLine
      .optional()
      .describe('How far two sets of one round differed: without sd it says what the measuring leaves open.'),
    moveSd: z
      .object({
        v: notNegative('standard-deviation-of-shims', 'displacement'),
        h: notNegative('standard-deviation-of-side-moves', 'displacement'),
      })
      .optional()
      .describe('Standard deviations of what a lift and a side move do at each pair.'),
    drifted: z.boolean().optional().describe('A shift was logged while tightening.'),
    softFoot: z.boolean().optional().describe('A soft foot is known.'),
    strained: z.boolean().optional().describe('Coupling strain is known.'),
  })
  .superRefine((value, context) => {
    for (const [name, list] of [
      ['planned', value.planned],
      ['made', value.made ?? []],
    ] as const)
      list.forEach((move, i) => {
        if (!value.feet.some((f) => f.id === move.id))
          context.addIssue({
            code: 'custom',
            path: [name, i, 'id'],
            message: issue('no-foot-pair-called', move.id),
          })
        if (list.findIndex((other) => other.id === move.id) < i)
          context.addIssue({
            code: 'custom',
            path: [name, i, 'id'],
            message: issue('same-id', 'planned-moves'),
          })
      })
  })

/** What the measuring leaves open: as stated, or as the sets repeat, or as ordinary hands do. */
const doubtFrom = (given: z.output<typeof input>) => {
  if (given.cov) {
    const covariance = covarianceToCore(given.cov, given.units)
    const root = (i: number) => Math.sqrt(Math.max(0, covariance[5 * i] as number))
    const sd = { offset: { v: root(0), h: root(1) }, slope: { v: root(2), h: root(3) } }
    return { doubt: doubtOfCovariance(covariance), sd, sdFrom: 'stated' as const }
  }
  if (given.sd) return { doubt: doubtOfSd(given.sd), sd: given.sd, sdFrom: 'stated' as const }
  const sd = typicalSd(given.repeat ?? null)
  return {
    doubt: doubtOfSd(sd),
    sd,
    sdFrom: given.repeat ? ('repeat' as const) : ('ordinary-hands' as const),
  }
}

/** What a move did against what was planned, with the likeliest cause of a gap. */
export const achievedOperation = defineOperation({
  name: 'achieved',
  summary: 'What a move did against what was planned, plane by plane, with the likeliest cause of a gap.',
  input,
  result: z.object({
    change: lineOut.describe('Measured: after less before.'),
    difference: lineOut.describe('Measured change less planned change.'),
    sd: lineOut.describe('Standard deviations of one measurement that were gone by.'),
    sdFrom: z.enum(['stated', 'repeat', 'ordinary-hands']),
    planes: z.array(
      z.object({
        plane: z.enum(['v', 'h']),
        cause: z.string(),
        causes: z.array(z.string()).describe('All that fit, likeliest first.'),
        feet: z.array(
          z.object({ id: z.string(), planned: out('displacement'), achieved: out('displacement') }),
        ),
      }),
    ),
  }),
  compute: (given) => {
    const place = (list: typeof given.planned) =>
      list.flatMap((move) => {
        const foot = given.feet.find((f) => f.id === move.id)
        return foot ? [{ ...move, x: foot.x }] : []
      })
    const placed = place(given.planned)
    const made = given.made ? place(given.made) : placed
    for (const [name, list] of [
      ['planned', placed],
      ['made', made],
    ] as const)
      if (new Set(list.map((m) => m.x)).size < 2) return refused('feet-at-one-place', [name])
    const planned = lineOfMoves(placed)
    const change = lineDifference(given.after, given.before)
    const { doubt, sd, sdFrom } = doubtFrom(given)
    const byPlace = [...made].sort((a, b) => a.x - b.x)
    const outer = [byPlace[0], byPlace[byPlace.length - 1]] as [(typeof made)[number], (typeof made)[number]]
    const ofChange = given.moveSd
      ? covarianceAfterMove(doubt.covariance, outer, outer, {
          ...NO_SPREAD,
          shim: given.moveSd.v,
          side: given.moveSd.h,
        })
      : doubt.covariance
    const planes = compareAchieved(given.before, given.after, lineOfMoves(made), made, {
      doubt: { ...doubt, covariance: ofChange },
      drifted: given.drifted ?? false,
      softFoot: given.softFoot ?? false,
      strained: given.strained ?? false,
    })
    return done({ change, difference: lineDifference(change, planned), planes, sd, sdFrom })
  },
})
