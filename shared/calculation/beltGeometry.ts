import { z } from 'zod'
import { beltDrive, beltSpeed, centreForLength, flexRate } from '../../core/belt/geometry'
import { done } from '../../core/outcome'
import { drivePair, requireDrive } from './beltFields'
import { defineOperation } from './defineOperation'
import { notNegative, rpm, units } from './fields'
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
    const { rpm: speed, installAllowance: less, takeUpAllowance: more } = given
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
    })
  },
})
