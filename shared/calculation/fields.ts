import { z } from 'zod'
import type { Measured } from '../../core/units/unitSystem'

/** Largest magnitude taken for anything measured; beyond it a digit has slipped. */
const LARGEST = 1e6

const tagged = <T extends z.ZodType>(schema: T, measured: Measured | undefined): T =>
  measured === undefined ? schema : (schema.meta({ measured }) as T)

/** A finite number of sane size. `measured` says which unit it carries. */
export const figure = (what: string, measured?: Measured) =>
  tagged(
    z
      .number({ error: `Give ${what} as a number.` })
      .min(-LARGEST, { error: `That is far too large for ${what}. Check the digits.` })
      .max(LARGEST, { error: `That is far too large for ${what}. Check the digits.` }),
    measured,
  )

/** Smallest size taken for anything that must have one; below it a decimal point has slipped. */
const SMALLEST = 1e-9

/** A number above zero. */
export const positive = (what: string, measured?: Measured, smallest = SMALLEST) =>
  tagged(
    z
      .number({ error: `Give ${what} as a number.` })
      .gt(0, { error: `Give ${what} as a number above zero.` })
      .min(smallest, { error: `That is far too small for ${what}. Check the decimal point.` })
      .max(LARGEST, { error: `That is far too large for ${what}. Check the digits.` }),
    measured,
  )

/** A number not below zero. */
export const notNegative = (what: string, measured?: Measured) =>
  tagged(
    z
      .number({ error: `Give ${what} as a number.` })
      .min(0, { error: `Give ${what} as zero or more.` })
      .max(LARGEST, { error: `That is far too large for ${what}. Check the digits.` }),
    measured,
  )

/** A whole number between two bounds. */
export const whole = (what: string, least: number, most: number) =>
  z
    .int({ error: `Give ${what} as a whole number.` })
    .min(least, { error: `Give ${what} as ${least} or more.` })
    .max(most, { error: `Give ${what} as ${most} or less.` })

/** One of a few words. */
export const oneOf = <const T extends readonly [string, ...string[]]>(what: string, list: T) =>
  z.enum(list, { error: `Give ${what} as one of: ${list.join(', ')}.` })

export const units = oneOf('the units', ['inch', 'metric'])

/** A name that a person gave to a foot, bolt, belt or machine. */
export const idText = z.string({ error: 'Give it a name.' }).min(1).max(40)

export const clock = z
  .number({ error: 'Give the clock angle in degrees.' })
  .min(-360, { error: 'Give the clock angle between 0 and 360 degrees.' })
  .max(720, { error: 'Give the clock angle between 0 and 360 degrees.' })

export const reading = z.object({
  clock,
  value: figure('the reading', 'displacement'),
  group: z.string().max(40).optional().describe('Zero group; readings zeroed together share it.'),
})

export const readings = z
  .array(reading, { error: 'Give the readings as a list of clock and value.' })
  .min(2, { error: 'Give at least two readings.' })
  .max(4000, { error: 'Give at most 4000 readings in one set.' })

const plane = (what: string, measured: Measured) => figure(what, measured).nullable()
export const displacementVH = z.object({
  v: plane('the vertical value', 'displacement'),
  h: plane('the side value', 'displacement'),
})
export const slopeVH = z.object({
  v: plane('the vertical slope', 'slope'),
  h: plane('the side slope', 'slope'),
})

/** Offset at the coupling centre and slope; null where unknown. */
export const couplingLine = z.object({ offset: displacementVH, slope: slopeVH })

/** Offset and slope with nothing unknown. */
export const knownLine = z.object({
  offset: z.object({
    v: figure('the vertical offset', 'displacement'),
    h: figure('the side offset', 'displacement'),
  }),
  slope: z.object({ v: figure('the vertical slope', 'slope'), h: figure('the side slope', 'slope') }),
})

const sd = (what: string, measured: Measured) => notNegative(`the standard deviation of ${what}`, measured)
export const lineSd = z.object({
  offset: z.object({ v: sd('offset', 'displacement'), h: sd('offset', 'displacement') }),
  slope: z.object({ v: sd('slope', 'slope'), h: sd('slope', 'slope') }),
})

/** Refuses two entries of one list that carry the same id or stand at the same x. */
export const refuseTwins = (
  list: readonly { readonly id: string; readonly x?: number }[],
  context: { addIssue: (issue: { code: 'custom'; path: PropertyKey[]; message: string }) => void },
  what: string,
) =>
  list.forEach((item, i) => {
    if (list.findIndex((other) => other.id === item.id) < i)
      context.addIssue({
        code: 'custom',
        path: [i, 'id'],
        message: `Two ${what} have the same id. Name them apart.`,
      })
    if (item.x !== undefined && list.some((other, j) => j < i && other.x === item.x))
      context.addIssue({
        code: 'custom',
        path: [i, 'x'],
        message: `Two ${what} stand at the same place. Check the distances.`,
      })
  })

export const feet = z
  .array(z.object({ id: idText, x: figure('the distance to the feet', 'distance') }), {
    error: 'Give the feet as a list of id and x.',
  })
  .min(2, { error: 'Give at least two foot pairs.' })
  .max(12, { error: 'Give at most twelve foot pairs.' })
  .superRefine((list, context) => refuseTwins(list, context, 'foot pairs'))

const readingSign = z.union([z.literal(1), z.literal(-1)], {
  error: 'Give the reading sign as 1 (press raises the number) or -1.',
})

const stillHub = readings
  .optional()
  .describe('Run-out of the hub that stood still, read by turning it under a fixed dial.')

export const dialSet = z.object({
  carriedBy: oneOf('the machine that carries the dial', ['movable', 'stationary']),
  plane: figure('the dial plane', 'distance'),
  readings,
  sag: notNegative('the bar sag', 'displacement'),
  turning: oneOf('the shaft that turned', ['both', 'movable', 'stationary']).optional(),
  readingSign: readingSign.optional(),
  runout: stillHub,
})

export const faceSet = z.object({
  plunger: oneOf('the way the face plunger points', ['away', 'back']),
  diameter: positive('the face swing diameter', 'distance'),
  readings,
  sag: figure('the face sag', 'displacement').optional(),
  readingSign: readingSign.optional(),
  runout: stillHub,
})

/** Lowest and highest allowed, null for an open side. */
export const band = (what: string, measured?: Measured) =>
  z
    .tuple(
      [figure(`the lowest ${what}`, measured).nullable(), figure(`the highest ${what}`, measured).nullable()],
      {
        error: `Give the window for ${what} as [lowest, highest], null for an open side.`,
      },
    )
    .refine(([low, high]) => low === null || high === null || low <= high, {
      error: 'The lower bound is above the upper one. Swap them.',
    })

const bands = (what: string, measured: Measured) =>
  z.object({ v: band(what, measured), h: band(what, measured) })
const mode = oneOf('the judging mode', ['plane', 'vector'])
const source = z.string().max(200).optional().describe('Where the limit comes from.')
const spoolLength = positive('the spool length', 'distance')

export const tolerance = z.discriminatedUnion(
  'form',
  [
    z.object({
      form: z.literal('offset-slope'),
      mode,
      offset: positive('the offset limit', 'displacement'),
      slope: positive('the slope limit', 'slope'),
      source,
    }),
    z.object({
      form: z.literal('flex-plane'),
      mode,
      slope: positive('the slope limit', 'slope'),
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
      grade: oneOf('the grade', ['fine', 'standard']),
      spoolLength: spoolLength.optional(),
      source,
    }),
  ],
  { error: 'Give the tolerance form as offset-slope, flex-plane, window or speed-rule.' },
)

export const rpm = positive('the speed').max(200_000, {
  error: 'Give the speed in rpm. That is too fast for a shaft.',
})

export const graduation = notNegative('the dial graduation', 'displacement').optional()
