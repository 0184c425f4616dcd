import { z } from 'zod'
import { beltDrive, beltSpeed, centreForLength, flexRate } from '../../core/belt/geometry'
import { judgeReplacement, largeForSpeed } from '../../core/belt/replacement'
import { done, refused } from '../../core/outcome'
import { drivePair, requireDrive } from './beltFields'
import { defineOperation } from './defineOperation'
import { notNegative, positive, rpm, units } from './fields'
import { maybe, out } from './results'

const DEGREES = 180 / Math.PI

/** An open belt drive: lengths and angles, and the range of centres its belt wants. */
export const beltGeometryOperation = defineOperation({
  name: 'belt-geometry',
  summary:
    'Span, wrap, pitch length and centre distance of a belt drive, exactly; ratio, speed, take-up range.',
  input: z
    .object({
      units,
      ...drivePair,
      rpm: rpm.optional().describe('Of the small sheave.'),
      installAllowance: notNegative('installation-allowance', 'distance').optional(),
      takeUpAllowance: notNegative('take-up-allowance', 'distance').optional(),
      replacement: positive('replacement-length', 'distance')
        .optional()
        .describe('Pitch length of another belt: is it near enough?'),
      travelOut: notNegative('travel-left', 'distance')
        .optional()
        .describe('What the base still has away from the other shaft.'),
      wantedRpm: rpm.optional().describe('Speed wanted of the large sheave; asks for the small one’s speed.'),
    })
    .superRefine(requireDrive),
  result: z.object({
    span: out('distance'),
    wrap: out().describe('On the small sheave, degrees.'),
    wrapLarge: out(),
    L: out('distance'),
    C: out('distance'),
    ratio: out(),
    beltSpeed: maybe().describe('m/s'),
    flexRate: maybe().describe('Bends per second.'),
    installCentre: maybe('distance').describe('Centre at which the belt goes on without prying.'),
    takeUpCentre: maybe('distance'),
    replacement: z
      .object({
        C: out('distance'),
        change: out('distance').describe('Of the centre distance; away is positive.'),
        inward: out('distance').describe('How far the motor comes in to lay it on.'),
        outward: out('distance').describe('How far it goes out over the belt’s life.'),
        fits: z.enum(['fits', 'little-room', 'runs-out', 'unknown']),
      })
      .nullable(),
    wanted: z
      .object({ D: out('distance'), ratio: out(), C: maybe('distance').describe('With the same belt.') })
      .nullable(),
  }),
  compute: (given) => {
    const drive = beltDrive(given)
    if (!drive.ok) return drive
    const v = drive.value
    const centreAt = (length: number | null) => {
      if (length === null) return null
      const centre = centreForLength(v.small, v.large, length)
      return centre.ok ? centre.value : null
    }
    const { rpm: speed, installAllowance: less, takeUpAllowance: more, wantedRpm, travelOut } = given
    const other =
      given.replacement === undefined ? null : judgeReplacement(v, given.replacement, travelOut ?? null)
    if (other && !other.ok) return refused('belt-too-short', ['replacement'])
    const D = speed === undefined || wantedRpm === undefined ? null : largeForSpeed(v.small, speed, wantedRpm)
    const wantedCentre =
      D === null ? null : centreForLength(Math.min(v.small, D), Math.max(v.small, D), v.pitchLength)
    return done({
      span: v.span,
      wrap: v.wrapSmall * DEGREES,
      wrapLarge: v.wrapLarge * DEGREES,
      L: v.pitchLength,
      C: v.centre,
      ratio: v.large / v.small,
      beltSpeed: speed === undefined ? null : beltSpeed(v.small, speed),
      flexRate: speed === undefined ? null : flexRate(v, speed),
      installCentre: centreAt(less === undefined ? null : v.pitchLength - less),
      takeUpCentre: centreAt(more === undefined ? null : v.pitchLength + more),
      replacement: other && {
        C: other.value.centre,
        change: other.value.change,
        inward: other.value.inward,
        outward: other.value.outward,
        fits: other.value.fits,
      },
      wanted: D === null ? null : { D, ratio: D / v.small, C: wantedCentre?.ok ? wantedCentre.value : null },
    })
  },
})
