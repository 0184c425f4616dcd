import { z } from 'zod'
import { beltDrive } from '../../core/belt/geometry'
import {
  DEFLECTION_SHARE,
  deflectionForce,
  designTension,
  RATIO_AT_180,
  shaftLoad,
  spanFrequency,
  type BeltAge,
} from '../../core/belt/tension'
import { tensionBand, type TensionBand } from '../../core/belt/tensionBand'
import { done } from '../../core/outcome'
import {
  bandFactors,
  bandGiven,
  bandSource,
  drivePair,
  loadFields,
  requireDrive,
  sheaves,
  stiffness,
} from './beltFields'
import { defineOperation } from './defineOperation'
import { positive, units } from './fields'
import { maybe, out } from './results'

const forcePair = z.tuple([out('force'), out('force')])
const bandOut = z.object({
  tension: forcePair,
  force: forcePair.describe('At the gauge deflection, per belt.'),
  frequency: z.tuple([out(), out()]),
  source: z.enum(['given', 'sticker', 'chart', 'power']),
})

/** The tension a drive needs, and what each school of measuring would read. */
export const beltTensionOperation = defineOperation({
  name: 'belt-tension',
  summary:
    'Static tension a drive needs, with force, deflection and frequency bands for new and run-in belts.',
  input: z
    .object({
      units,
      ...drivePair,
      ...loadFields,
      stiffness,
      sheaves,
      deflection: positive('deflection', 'distance')
        .optional()
        .describe('A sixty-fourth of the span when missing.'),
      factors: bandFactors.optional(),
      band: bandSource.optional().describe('Sticker, chart or given tension; rules over power and speed.'),
      joinedRibs: positive('number-of-joined-ribs')
        .optional()
        .describe('Joined belts: force for all ribs together.'),
      overhang: positive('overhang', 'distance').optional(),
      bearingSpan: positive('bearing-span', 'distance').optional(),
      shaftLimit: positive('shaft-load-limit', 'force').optional(),
    })
    .superRefine(requireDrive),
  result: z.object({
    staticTension: out('force'),
    force: out('force'),
    deflection: out('distance'),
    frequency: out(),
    jointForce: maybe('force'),
    effectiveTension: out('force'),
    strandRatio: out(),
    centrifugal: out('force'),
    bands: z.object({ 'run-in': bandOut, new: bandOut }),
    shaftLoad: z.object({
      atRest: out('force'),
      running: out('force'),
      nearerBearing: maybe('force'),
      over: z.boolean().nullable(),
    }),
  }),
  compute: (given) => {
    const found = beltDrive(given)
    if (!found.ok) return found
    const drive = found.value
    const load = { ...given, mass: given.massPerLength, ratioAt180: given.ratioAt180 ?? RATIO_AT_180 }
    const spring = { stiffness: given.stiffness ?? 0, sheaves: given.sheaves ?? ('free' as const) }
    const design = designTension(drive, load)
    const deflection = given.deflection ?? drive.span * DEFLECTION_SHARE
    const forceAt = (tension: number) => deflectionForce(drive, spring, tension, deflection)
    const own = bandGiven(given.band ?? {})
    const source = { ...own, factors: given.factors ?? own.factors, load }
    const bandFor = (age: BeltAge) => {
      const band = tensionBand(drive, spring, age, source)
      if (!band.ok) return band
      // Power and speed are always there, so that some source always rules.
      const { tension, source: from } = band.value as TensionBand
      return done({
        tension,
        force: [forceAt(tension[0]), forceAt(tension[1])] as const,
        frequency: [
          spanFrequency(drive, tension[0], load.mass),
          spanFrequency(drive, tension[1], load.mass),
        ] as const,
        source: from,
      })
    }
    const runIn = bandFor('run-in')
    if (!runIn.ok) return runIn
    const fresh = bandFor('new')
    if (!fresh.ok) return fresh
    const bearing =
      given.overhang !== undefined && given.bearingSpan !== undefined
        ? { overhang: given.overhang, span: given.bearingSpan }
        : undefined
    const pull = shaftLoad(drive, given.belts, design, bearing)
    const force = forceAt(design.staticTension)
    return done({
      staticTension: design.staticTension,
      force,
      deflection,
      frequency: spanFrequency(drive, design.staticTension, load.mass),
      jointForce: given.joinedRibs === undefined ? null : force * given.joinedRibs,
      effectiveTension: design.effective,
      strandRatio: design.ratio,
      centrifugal: design.centrifugal,
      bands: { 'run-in': runIn.value, new: fresh.value },
      shaftLoad: {
        ...pull,
        over: given.shaftLimit === undefined ? null : (pull.nearerBearing ?? pull.atRest) > given.shaftLimit,
      },
    })
  },
})
