import { issue } from '../issue'
import { z } from 'zod'
import { driveAtCentre } from '../../core/belt/geometry'
import { variableSheave } from '../../core/belt/variableSheave'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, oneOf, positive, rpm, units } from './fields'
import { maybe, out } from './results'

/** What turning a variable-pitch sheave does. */
export const variableSheaveOperation = defineOperation({
  name: 'variable-sheave',
  summary: 'Pitch diameter, groove shift, driven speed and power after turning a variable-pitch sheave.',
  input: z.object({
    units,
    grooveAngle: positive('groove-angle')
      .min(5, { error: issue('give-the-groove-angle-between-5') })
      .max(120, { error: issue('give-the-groove-angle-between-5') }),
    threadPitch: positive('thread-pitch', 'distance'),
    turns: figure('turns').describe('Positive opens: the belt rides lower.'),
    pitchDiameter: positive('pitch-diameter-now', 'distance'),
    rpm: rpm.describe('Of this sheave.'),
    drivenDiameter: positive('driven-sheaves-pitch-diameter', 'distance'),
    flanges: oneOf('how-many-flanges-move', ['one', 'both']).optional(),
    C: positive('centre-distance', 'distance').optional(),
    motorCurrent: positive('motor-current').optional(),
    plateCurrent: positive('current-on-the-plate').optional(),
    table: z
      .object({ from: figure('first-setting'), to: figure('last-setting') })
      .optional()
      .describe('Turns from now, for a table per half turn.'),
  }),
  result: z.object({
    pitchDiameter: out('distance'),
    diameterChange: out('distance'),
    centreShift: out('distance').describe('Groove centre, toward the moving flange.'),
    drivenRpm: out(),
    powerRatio: out(),
    centreChange: maybe('distance').describe('Motor move that keeps the tension.'),
    currentAbout: maybe(),
    overPlate: z.boolean().nullable(),
    table: z
      .array(z.object({ turns: out(), pitchDiameter: out('distance'), drivenRpm: out(), powerRatio: out() }))
      .optional(),
  }),
  compute: (given) => {
    const small = Math.min(given.pitchDiameter, given.drivenDiameter)
    const large = Math.max(given.pitchDiameter, given.drivenDiameter)
    const drive = given.C === undefined ? null : driveAtCentre(small, large, given.C)
    if (drive && !drive.ok) return drive
    const set = {
      grooveAngle: given.grooveAngle,
      threadPitch: given.threadPitch,
      pitchDiameter: given.pitchDiameter,
      rpm: given.rpm,
      otherDiameter: given.drivenDiameter,
      flanges: given.flanges ?? ('one' as const),
      drive: drive?.value,
      isSmall: given.pitchDiameter <= given.drivenDiameter,
    }
    const turned = variableSheave({ ...set, turns: given.turns })
    if (!turned.ok) return turned
    const about = given.motorCurrent === undefined ? null : given.motorCurrent * turned.value.powerRatio
    const rows = []
    if (given.table) {
      const from = Math.ceil(Math.max(-40, Math.min(given.table.from, given.table.to)) * 2) / 2
      const to = Math.min(40, Math.max(given.table.from, given.table.to))
      for (let turns = from; turns <= to + 1e-9; turns += 0.5) {
        const row = variableSheave({ ...set, turns })
        if (row.ok) rows.push({ turns, ...row.value })
      }
    }
    return done({
      ...turned.value,
      currentAbout: about,
      overPlate: about === null || given.plateCurrent === undefined ? null : about > given.plateCurrent,
      ...(given.table ? { table: rows } : {}),
    })
  },
})
