import { issue } from '../issue'
import { z } from 'zod'
import { baseLevel, levelShimFromDivisions, levelShimFromFeeler } from '../../core/level/levelShim'
import { done, refused } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, idText, notNegative, positive, refuseTwins, units } from './fields'
import { maybe, out } from './results'

const spacing = positive('bolt-spacing', 'distance')
const corner = z.object({
  id: idText,
  along: figure('distance-along-the-base', 'distance'),
  across: figure('distance-across-the-base', 'distance'),
})

const input = z
  .object({
    units,
    boltSpacing: spacing.optional(),
    feeler: notNegative('feeler', 'displacement').optional(),
    supportedLength: positive('supported-length', 'distance').optional(),
    divisions: figure('divisions-off-centre').optional(),
    reversedDivisions: figure('divisions-with-the-level-turned-end-for').optional(),
    sensitivity: positive('levels-sensitivity', 'slope').optional(),
    headings: z
      .array(z.object({ heading: figure('heading-in-degrees'), slope: figure('slope-read', 'slope') }), {
        error: issue('give-the-headings-as-a-list'),
      })
      .min(2, { error: issue('read-the-base-along-two-headings') })
      .max(16, { error: issue('give-at-most-sixteen-headings') })
      .optional()
      .describe('Base plate: slope read along headings in degrees from along the shaft, rising positive.'),
    corners: z
      .array(corner)
      .min(3, { error: issue('give-three-corners-or-more') })
      .max(12, { error: issue('give-at-most-twelve-corners') })
      .superRefine((list, context) => refuseTwins(list, context, 'corners'))
      .optional(),
  })
  .superRefine((value, context) => {
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    const byFeeler = value.feeler !== undefined || value.supportedLength !== undefined
    const byDivisions = value.divisions !== undefined || value.sensitivity !== undefined
    if (value.headings !== undefined) {
      if (value.corners === undefined) need('corners', issue('give-the-corners-that-may-get'))
      return
    }
    if (value.boltSpacing === undefined) need('boltSpacing', issue('give-the-bolt-spacing'))
    if (byFeeler && byDivisions) need('divisions', issue('give-either-feeler-and-supported-length'))
    else if (byDivisions) {
      if (value.divisions === undefined) need('divisions', issue('give-how-many-divisions-the-bubble'))
      if (value.sensitivity === undefined) need('sensitivity', issue('give-the-levels-sensitivity-slope-per'))
    } else {
      if (value.feeler === undefined) need('feeler', issue('give-the-feeler-under-the-levels'))
      if (value.supportedLength === undefined)
        need('supportedLength', issue('give-the-length-from-the-feeler'))
    }
  })

/** The shim that levels a machine, or the shims that level a base. */
export const levelOperation = defineOperation({
  name: 'level',
  summary: 'The shim that levels a machine from a feeler or from divisions, or a base from four headings.',
  input,
  result: z.object({
    shim: out('displacement').describe('Under both feet of the low end; the largest corner of a base.'),
    levelError: maybe()
      .optional()
      .describe('Divisions the level itself is off, when it was turned end for end.'),
    corners: z.array(z.object({ id: z.string(), shim: out('displacement') })).optional(),
    slope: z.object({ along: out('slope'), across: out('slope') }).optional(),
    residual: out('slope').optional(),
  }),
  compute: (given) => {
    if (given.headings && given.corners) {
      const base = baseLevel(given.headings, given.corners)
      if (!base) return refused('too-few-positions', ['headings'], { distinct: given.headings.length })
      const { slopeAlong, slopeAcross, residual, shims } = base
      return done({
        shim: Math.max(...shims.map((s) => s.shim)),
        corners: shims,
        slope: { along: slopeAlong, across: slopeAcross },
        residual,
      })
    }
    const {
      boltSpacing = 1,
      feeler = 0,
      supportedLength = 1,
      divisions,
      reversedDivisions,
      sensitivity,
    } = given
    if (divisions === undefined || sensitivity === undefined)
      return done({ shim: levelShimFromFeeler(feeler, boltSpacing, supportedLength) })
    const turned = reversedDivisions !== undefined
    return done({
      shim: levelShimFromDivisions(
        turned ? (divisions - reversedDivisions) / 2 : divisions,
        sensitivity,
        boltSpacing,
      ),
      ...(turned ? { levelError: (divisions + reversedDivisions) / 2 } : {}),
    })
  },
})
