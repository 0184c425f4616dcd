import { z } from 'zod'
import { baseLevel, levelShimFromDivisions, levelShimFromFeeler } from '../../core/level/levelShim'
import { done, refused } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, idText, notNegative, positive, refuseTwins, units } from './fields'
import { maybe, out } from './results'

const spacing = positive('the bolt spacing', 'distance')
const corner = z.object({
  id: idText,
  along: figure('the distance along the base', 'distance'),
  across: figure('the distance across the base', 'distance'),
})

const input = z
  .object({
    units,
    boltSpacing: spacing.optional(),
    feeler: notNegative('the feeler', 'displacement').optional(),
    supportedLength: positive('the supported length', 'distance').optional(),
    divisions: figure('the divisions off centre').optional(),
    reversedDivisions: figure('the divisions with the level turned end for end').optional(),
    sensitivity: positive('the level’s sensitivity', 'slope').optional(),
    headings: z
      .array(
        z.object({ heading: figure('the heading in degrees'), slope: figure('the slope read', 'slope') }),
        {
          error: 'Give the headings as a list of heading and slope.',
        },
      )
      .min(2, { error: 'Read the base along two headings or more.' })
      .max(16, { error: 'Give at most sixteen headings.' })
      .optional()
      .describe('Base plate: slope read along headings in degrees from along the shaft, rising positive.'),
    corners: z
      .array(corner)
      .min(3, { error: 'Give three corners or more.' })
      .max(12, { error: 'Give at most twelve corners.' })
      .superRefine((list, context) => refuseTwins(list, context, 'corners'))
      .optional(),
  })
  .superRefine((value, context) => {
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    const byFeeler = value.feeler !== undefined || value.supportedLength !== undefined
    const byDivisions = value.divisions !== undefined || value.sensitivity !== undefined
    if (value.headings !== undefined) {
      if (value.corners === undefined) need('corners', 'Give the corners that may get a shim.')
      return
    }
    if (value.boltSpacing === undefined) need('boltSpacing', 'Give the bolt spacing.')
    if (byFeeler && byDivisions)
      need('divisions', 'Give either feeler and supported length, or divisions and sensitivity, not both.')
    else if (byDivisions) {
      if (value.divisions === undefined)
        need('divisions', 'Give how many divisions the bubble stands off centre.')
      if (value.sensitivity === undefined)
        need('sensitivity', 'Give the level’s sensitivity, slope per division.')
    } else {
      if (value.feeler === undefined) need('feeler', 'Give the feeler under the level’s low end.')
      if (value.supportedLength === undefined)
        need('supportedLength', 'Give the length from the feeler to the level’s other end.')
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
