import { issue } from '../issue'
import { z } from 'zod'
import { judgeBeltSet, SPREAD_LIMIT } from '../../core/belt/beltSet'
import { beltDrive } from '../../core/belt/geometry'
import { tensionBand } from '../../core/belt/tensionBand'
import { done, refusedBelow } from '../../core/outcome'
import {
  age,
  bandGiven,
  bandSource,
  drivePair,
  massPerLength,
  requireDrive,
  sheaves,
  stiffness,
} from './beltFields'
import { readingFields, readingTension, requireOneReading } from './beltReading'
import { defineOperation } from './defineOperation'
import { idText, notNegative, refuseTwins, units } from './fields'
import { out } from './results'

/** Every belt of a set against its band, and the set as a whole. */
export const beltSetOperation = defineOperation({
  name: 'belt-set',
  summary: 'Each belt of a set slack, in band or tight, the spread of the set, and which way the motor goes.',
  input: z
    .object({
      units,
      ...drivePair,
      readings: z
        .array(z.object({ id: idText, ...readingFields }), {
          error: issue('give-the-readings-as-a-list-2'),
        })
        .min(1, { error: issue('give-a-reading-of-each-belt') })
        .max(40, { error: issue('give-at-most-forty-belts') })
        .superRefine((list, context) => refuseTwins(list, context, 'belts')),
      massPerLength: massPerLength.optional(),
      stiffness,
      bendingStiffness: notNegative('bending-stiffness', 'bendingStiffness').optional(),
      sheaves,
      age,
      band: bandSource,
      spreadLimit: notNegative('spread-limit')
        .max(1, { error: issue('give-the-spread-limit-as-a') })
        .optional(),
    })
    .superRefine((value, context) => {
      requireDrive(value, context)
      value.readings.forEach((reading, i) => requireOneReading(['readings', i])(reading, value, context))
      const { tension, sticker, chart, load } = value.band
      if (!tension && !sticker && !chart && !load)
        context.addIssue({
          code: 'custom',
          path: ['band'],
          message: issue('give-where-the-band-comes-from'),
        })
    }),
  result: z.object({
    band: z.object({
      tension: z.tuple([out('force'), out('force')]),
      source: z.enum(['given', 'sticker', 'chart', 'power']),
    }),
    belts: z.array(
      z.object({
        id: z.string(),
        tension: out('force'),
        verdict: z.enum(['slack', 'in', 'tight']),
        off: out('force'),
        motor: z.enum(['away', 'toward', 'stays']),
      }),
    ),
    mean: out('force'),
    spread: out(),
    unmatched: z.boolean(),
    advice: z.enum(['tighten', 'slacken', 'leave', 'replace-set']),
  }),
  compute: (given) => {
    const drive = beltDrive(given)
    if (!drive.ok) return drive
    const spring = { stiffness: given.stiffness ?? 0, sheaves: given.sheaves ?? ('free' as const) }
    const tensions: { id: string; tension: number }[] = []
    for (const [i, reading] of given.readings.entries()) {
      const tension = readingTension(drive.value, spring, given, reading)
      if (!tension.ok) return refusedBelow(['readings', i], tension.refusals)
      tensions.push({ id: reading.id, tension: tension.value })
    }
    const band = tensionBand(drive.value, spring, given.age, bandGiven(given.band))
    if (!band.ok) return refusedBelow(['band'], band.refusals)
    if (!band.value) return refusedBelow(['band', 'chart'], [{ code: 'no-chart-row', path: [] }])
    return done({
      band: band.value,
      ...judgeBeltSet(tensions, band.value.tension, given.spreadLimit ?? SPREAD_LIMIT),
    })
  },
})
