import { issue, type Thing } from '../issue'
import { z } from 'zod'
import type { Measured } from '../../core/units/unitSystem'

/** Largest magnitude taken for anything measured; beyond it a digit has slipped. */
const LARGEST = 1e6

const tagged = <T extends z.ZodType>(schema: T, measured: Measured | undefined): T =>
  measured === undefined ? schema : (schema.meta({ measured }) as T)

/** A finite number of sane size. `measured` says which unit it carries. */
export const figure = (what: Thing, measured?: Measured) =>
  tagged(
    z
      .number({ error: issue('number', what) })
      .min(-LARGEST, { error: issue('too-large', what) })
      .max(LARGEST, { error: issue('too-large', what) }),
    measured,
  )

/** Smallest size taken for anything that must have one; below it a decimal point has slipped. */
const SMALLEST = 1e-9

/** A number above zero. */
export const positive = (what: Thing, measured?: Measured, smallest = SMALLEST) =>
  tagged(
    z
      .number({ error: issue('number', what) })
      .gt(0, { error: issue('above-zero', what) })
      .min(smallest, { error: issue('too-small', what) })
      .max(LARGEST, { error: issue('too-large', what) }),
    measured,
  )

/** A number not below zero. */
export const notNegative = (what: Thing, measured?: Measured) =>
  tagged(
    z
      .number({ error: issue('number', what) })
      .min(0, { error: issue('zero-or-more', what) })
      .max(LARGEST, { error: issue('too-large', what) }),
    measured,
  )

/** A whole number between two bounds. */
export const whole = (what: Thing, least: number, most: number) =>
  z
    .int({ error: issue('whole-number', what) })
    .min(least, { error: issue('at-least', what, least) })
    .max(most, { error: issue('at-most', what, most) })

/** One of a few words. */
export const oneOf = <const T extends readonly [string, ...string[]]>(what: Thing, list: T) =>
  z.enum(list, { error: issue('one-of', what, list.join(', ')) })

export const units = oneOf('units', ['inch', 'metric'])

/** A name that a person gave to a foot, bolt, belt or machine. */
export const idText = z
  .string({ error: issue('give-it-a-name') })
  .min(1)
  .max(40)

export const clock = z
  .number({ error: issue('give-the-clock-angle-in-degrees') })
  .min(-360, { error: issue('give-the-clock-angle-between-0') })
  .max(720, { error: issue('give-the-clock-angle-between-0') })

export const reading = z.object({
  clock,
  value: figure('reading', 'displacement'),
  group: z.string().max(40).optional().describe('Zero group; readings zeroed together share it.'),
})

export const readings = z
  .array(reading, { error: issue('give-the-readings-as-a-list') })
  .min(2, { error: issue('give-at-least-two-readings') })
  .max(4000, { error: issue('give-at-most-4000-readings-in') })

const plane = (what: Thing, measured: Measured) => figure(what, measured).nullable()
export const displacementVH = z.object({
  v: plane('vertical-value', 'displacement'),
  h: plane('side-value', 'displacement'),
})
export const slopeVH = z.object({
  v: plane('vertical-slope', 'slope'),
  h: plane('side-slope', 'slope'),
})

/** Offset at the coupling centre and slope; null where unknown. */
export const couplingLine = z.object({ offset: displacementVH, slope: slopeVH })

/** Offset and slope with nothing unknown. */
export const knownLine = z.object({
  offset: z.object({
    v: figure('vertical-offset', 'displacement'),
    h: figure('side-offset', 'displacement'),
  }),
  slope: z.object({ v: figure('vertical-slope', 'slope'), h: figure('side-slope', 'slope') }),
})

const sd = (what: Thing, measured: Measured) => notNegative(what, measured)
export const lineSd = z.object({
  offset: z.object({
    v: sd('standard-deviation-of-offset', 'displacement'),
    h: sd('standard-deviation-of-offset', 'displacement'),
  }),
  slope: z.object({
    v: sd('standard-deviation-of-slope', 'slope'),
    h: sd('standard-deviation-of-slope', 'slope'),
  }),
})

/** Refuses two entries of one list that carry the same id or stand at the same x. */
export const refuseTwins = (
  list: readonly { readonly id: string; readonly x?: number }[],
  context: { addIssue: (issue: { code: 'custom'; path: PropertyKey[]; message: string }) => void },
  what: Thing,
) =>
  list.forEach((item, i) => {
    if (list.findIndex((other) => other.id === item.id) < i)
      context.addIssue({
        code: 'custom',
        path: [i, 'id'],
        message: issue('same-id', what),
      })
    if (item.x !== undefined && list.some((other, j) => j < i && other.x === item.x))
      context.addIssue({
        code: 'custom',
        path: [i, 'x'],
        message: issue('same-place', what),
      })
  })

export const feet = z
  .array(z.object({ id: idText, x: figure('distance-to-the-feet', 'distance') }), {
    error: issue('give-the-feet-as-a-list-2'),
  })
  .min(2, { error: issue('give-at-least-two-foot-pairs') })
  .max(12, { error: issue('give-at-most-twelve-foot-pairs') })
  .superRefine((list, context) => refuseTwins(list, context, 'foot-pairs'))

const readingSign = z.union([z.literal(1), z.literal(-1)], {
  error: issue('give-the-reading-sign-as-1'),
})

const stillHub = readings
  .optional()
  .describe('Run-out of the hub that stood still, read by turning it under a fixed dial.')

export const dialSet = z.object({
  carriedBy: oneOf('machine-that-carries-the-dial', ['movable', 'stationary']),
  plane: figure('dial-plane', 'distance'),
  readings,
  sag: notNegative('bar-sag', 'displacement'),
  turning: oneOf('shaft-that-turned', ['both', 'movable', 'stationary']).optional(),
  readingSign: readingSign.optional(),
  runout: stillHub,
})

export const faceSet = z.object({
  plunger: oneOf('way-the-face-plunger-points', ['away', 'back']),
  diameter: positive('face-swing-diameter', 'distance'),
  readings,
  sag: figure('face-sag', 'displacement').optional(),
  readingSign: readingSign.optional(),
  runout: stillHub,
})

/** Lowest and highest allowed, null for an open side. */
export const band = (what: Thing, measured?: Measured) =>
  z
    .tuple([figure(what, measured).nullable(), figure(what, measured).nullable()], {
      error: issue('window', what),
    })
    .refine(([low, high]) => low === null || high === null || low <= high, {
      error: issue('the-lower-bound-is-above-the'),
    })

const bands = (what: Thing, measured: Measured) =>
  z.object({ v: band(what, measured), h: band(what, measured) })
const mode = oneOf('judging-mode', ['plane', 'vector'])
const source = z.string().max(200).optional().describe('Where the limit comes from.')
const spoolLength = positive('spool-length', 'distance')

export const tolerance = z.discriminatedUnion(
  'form',
  [
    z.object({
      form: z.literal('offset-slope'),
      mode,
      offset: positive('offset-limit', 'displacement'),
      slope: positive('slope-limit', 'slope'),
      source,
    }),
    z.object({
      form: z.literal('flex-plane'),
      mode,
      slope: positive('slope-limit', 'slope'),
      spoolLength,
      source,
    }),
    z.object({
      form: z.literal('window'),
      offset: bands('offset', 'displacement'),
      slope: bands('slope', 'slope'),
      source,
    }),
    z.object({
      form: z.literal('speed-rule'),
      mode,
      grade: oneOf('grade', ['fine', 'standard']),
      spoolLength: spoolLength.optional(),
      source,
    }),
  ],
  { error: issue('give-the-tolerance-form-as-offset') },
)

export const rpm = positive('speed').max(200_000, {
  error: issue('give-the-speed-in-rpm-that'),
})

export const graduation = notNegative('dial-graduation', 'displacement').optional()
