import { issue } from '../issue'
import { z } from 'zod'
import { beltDrive, type BeltDrive } from '../../core/belt/geometry'
import { tensionFromForce, tensionFromFrequency, type BeltSpring } from '../../core/belt/tension'
import { done, refused, type Outcome } from '../../core/outcome'
import { drivePair, massPerLength, requireDrive, sheaves, stiffness } from './beltFields'
import { defineOperation } from './defineOperation'
import { notNegative, positive, units } from './fields'
import { out } from './results'

/** One reading of a belt by any school: force and deflection, frequency, or elongation. */
export const readingFields = {
  force: positive('force', 'force').optional(),
  deflection: positive('deflection', 'distance').optional(),
  frequency: positive('frequency').optional(),
  elongation: z
    .object({
      slack: positive('distance-of-the-marks-when-slack', 'distance'),
      tight: positive('distance-of-the-marks-when-tight', 'distance'),
    })
    .optional(),
}

interface BeltReading {
  readonly force?: number
  readonly deflection?: number
  readonly frequency?: number
  readonly elongation?: { readonly slack: number; readonly tight: number }
}

interface BeltProperties {
  readonly massPerLength?: number
  readonly stiffness?: number
  readonly bendingStiffness?: number
}

/** Refuses a reading of no school or of several, and one that lacks what its school needs. */
export const requireOneReading =
  (path: readonly (string | number)[] = []) =>
  (value: BeltReading, belt: BeltProperties, context: z.RefinementCtx) => {
    const need = (field: string, message: string, at = path) =>
      context.addIssue({ code: 'custom', path: [...at, field], message })
    const byForce = value.force !== undefined || value.deflection !== undefined
    const schools = [byForce, value.frequency !== undefined, value.elongation !== undefined].filter(Boolean)
    if (schools.length === 0) need('force', issue('give-force-and-deflection-or-the'))
    if (schools.length > 1) need('force', issue('give-one-way-of-measuring-at'))
    if (byForce && value.force === undefined) need('force', issue('give-the-force-that-made-this'))
    if (byForce && value.deflection === undefined)
      need('deflection', issue('give-the-deflection-this-force-made'))
    if (value.frequency !== undefined && belt.massPerLength === undefined)
      need('massPerLength', issue('give-the-belts-mass-per-length'), [])
    if (value.elongation !== undefined && belt.stiffness === undefined)
      need('stiffness', issue('give-the-belts-axial-stiffness-elongation'), [])
    if (value.elongation && value.elongation.tight < value.elongation.slack)
      need('elongation', issue('the-marks-stand-closer-when-tight'))
  }

/** Static tension from one reading. */
export const readingTension = (
  drive: BeltDrive,
  spring: BeltSpring,
  belt: BeltProperties,
  reading: BeltReading,
): Outcome<number> => {
  if (reading.force !== undefined && reading.deflection !== undefined)
    return tensionFromForce(drive, spring, reading.force, reading.deflection)
  if (reading.frequency !== undefined)
    return tensionFromFrequency(drive, reading.frequency, belt.massPerLength ?? 0, belt.bendingStiffness ?? 0)
  if (reading.elongation) {
    const { slack, tight } = reading.elongation
    return done(((tight - slack) / slack) * spring.stiffness)
  }
  return refused('nothing-measured', ['force'])
}

/** Static tension from a reading of any school. */
export const beltReadingOperation = defineOperation({
  name: 'belt-reading',
  summary: 'Static tension of a belt from force and deflection, from span frequency, or from elongation.',
  input: z
    .object({
      units,
      ...drivePair,
      ...readingFields,
      massPerLength: massPerLength.optional(),
      stiffness,
      bendingStiffness: notNegative('bending-stiffness', 'bendingStiffness').optional(),
      sheaves,
    })
    .superRefine((value, context) => {
      requireDrive(value, context)
      requireOneReading()(value, value, context)
    }),
  result: z.object({ staticTension: out('force'), span: out('distance') }),
  compute: (given) => {
    const drive = beltDrive(given)
    if (!drive.ok) return drive
    const spring = { stiffness: given.stiffness ?? 0, sheaves: given.sheaves ?? ('free' as const) }
    const tension = readingTension(drive.value, spring, given, given)
    return tension.ok ? done({ staticTension: tension.value, span: drive.value.span }) : tension
  },
})
