import { issue } from '../issue'
import { z } from 'zod'
import { compareAchieved } from '../../core/coupling/achieved'
import { lineOfMoves } from '../../core/coupling/feet'
import { lineDifference } from '../../core/frame/planes'
import { done, refused } from '../../core/outcome'
import { REPEAT_ROUND } from '../../core/trust/repeat'
import { defineOperation } from './defineOperation'
import { couplingLine, feet, figure, idText, lineSd, units } from './fields'
import { lineOut, out } from './results'

const input = z
  .object({
    units,
    before: couplingLine,
    after: couplingLine,
    planned: z
      .array(
        z.object({
          id: idText,
          v: figure('planned-lift', 'displacement'),
          h: figure('planned-side-move', 'displacement'),
        }),
        { error: issue('give-the-planned-moves-as-a') },
      )
      .min(2, { error: issue('give-the-planned-move-at-two') }),
    feet,
    sd: lineSd.optional().describe('Standard deviations of one measurement.'),
    drifted: z.boolean().optional().describe('A shift was logged while tightening.'),
    softFoot: z.boolean().optional().describe('A soft foot is known.'),
    strained: z.boolean().optional().describe('Coupling strain is known.'),
  })
  .superRefine((value, context) => {
    value.planned.forEach((move, i) => {
      if (!value.feet.some((f) => f.id === move.id))
        context.addIssue({
          code: 'custom',
          path: ['planned', i, 'id'],
          message: issue('no-foot-pair-called', move.id),
        })
    })
  })

/** What a move did against what was planned, with the likeliest cause of a gap. */
export const achievedOperation = defineOperation({
  name: 'achieved',
  summary: 'What a move did against what was planned, plane by plane, with the likeliest cause of a gap.',
  input,
  result: z.object({
    change: lineOut.describe('Measured: after less before.'),
    difference: lineOut.describe('Measured change less planned change.'),
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
    const placed = given.planned.flatMap((move) => {
      const foot = given.feet.find((f) => f.id === move.id)
      return foot ? [{ ...move, x: foot.x }] : []
    })
    if (new Set(placed.map((m) => m.x)).size < 2) return refused('feet-at-one-place', ['planned'])
    const planned = lineOfMoves(placed)
    const change = lineDifference(given.after, given.before)
    const rows = compareAchieved(given.before, given.after, planned, placed, {
      allowance: given.sd ? 0 : REPEAT_ROUND[given.units],
      sd: given.sd ?? null,
      drifted: given.drifted ?? false,
      softFoot: given.softFoot ?? false,
      strained: given.strained ?? false,
    })
    return done({ change, difference: lineDifference(change, planned), planes: rows })
  },
})
