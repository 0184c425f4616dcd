import { issue, type Thing } from '../issue'
import { z } from 'zod'
import { BELT_AGES, RATIO_AT_180, type BeltAge } from '../../core/belt/tension'
import type { BandGiven } from '../../core/belt/tensionBand'
import { notNegative, oneOf, positive, rpm, whole } from './fields'
import type { Measured } from '../../core/units/unitSystem'

/** Sheaves of a drive; either the centre distance or the belt's pitch length. */
export const drivePair = {
  d: positive('small-sheaves-pitch-diameter', 'distance'),
  D: positive('large-sheaves-pitch-diameter', 'distance'),
  C: positive('centre-distance', 'distance').optional(),
  L: positive('belts-pitch-length', 'distance').optional(),
}

interface Sheaves {
  readonly d: number
  readonly D: number
  readonly C?: number
  readonly L?: number
}

/** Refuses both or neither of C and L, and sheaves the wrong way round. */
export const requireDrive = (value: Sheaves, context: z.RefinementCtx) => {
  const need = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
  if (value.C === undefined && value.L === undefined) need('C', issue('give-the-centre-distance-c-or'))
  if (value.C !== undefined && value.L !== undefined) need('L', issue('give-either-the-centre-distance-c'))
  if (value.d > value.D) need('d', issue('the-small-sheave-d-is-larger'))
}

export const stiffness = positive('belts-axial-stiffness', 'force', 1e-3).max(1e9).optional()
export const massPerLength = positive('belts-mass-per-length', 'massPerLength', 1e-6)
export const sheaves = oneOf('whether-the-sheaves-are-free-or-held', ['free', 'held']).optional()
export const age = oneOf('belt-age', BELT_AGES as [BeltAge, ...BeltAge[]])

/** What the drive carries. */
export const loadFields = {
  power: positive('power', 'power'),
  rpm,
  serviceFactor: positive('service-factor').max(10, { error: issue('that-service-factor-is-far-too') }),
  belts: whole('number-of-belts', 1, 40),
  massPerLength,
  ratioAt180: positive('strand-ratio-at-half-a-turn')
    .min(1.01, { error: issue('the-strand-ratio-must-be-above') })
    .optional()
    .describe('5 for V-belts; flat and toothed belts have others.'),
}

/** An interval of forces, tensions or plain numbers, low end first. */
export const interval = (what: Thing, measured?: Measured) =>
  z
    .tuple([notNegative(what, measured), notNegative(what, measured)], {
      error: issue('two-ends', what),
    })
    .refine(([low, high]) => low <= high, { error: issue('the-lower-end-is-above-the') })

const factors = interval('tension-factor')
export const bandFactors = z.object({ 'run-in': factors, new: factors })

const chartRow = z.object({
  section: z.string().min(1).max(40),
  construction: z.string().max(40).optional(),
  smallSheave: interval('small-sheave-diameter', 'distance'),
  speed: interval('speed').optional(),
  force: z.object({ 'run-in': interval('force', 'force'), new: interval('force', 'force') }),
})

/** Where the tension band comes from; the first that is there rules. */
export const bandSource = z.object({
  tension: interval('tension', 'force').optional(),
  sticker: z
    .object({ force: interval('force', 'force'), deflection: positive('deflection', 'distance') })
    .optional(),
  chart: z
    .object({
      rows: z.array(chartRow).min(1).max(400),
      section: z.string().min(1).max(40),
      construction: z.string().max(40).optional(),
      speed: positive('speed').optional(),
      deflection: positive('deflection', 'distance'),
    })
    .optional(),
  load: z.object(loadFields).optional(),
  factors: bandFactors.optional(),
})

/** The band source as core takes it. */
export const bandGiven = (given: z.infer<typeof bandSource>): BandGiven => ({
  ...given,
  load: given.load && {
    ...given.load,
    mass: given.load.massPerLength,
    ratioAt180: given.load.ratioAt180 ?? RATIO_AT_180,
  },
})
