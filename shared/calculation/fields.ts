import { z } from 'zod'

/** Largest magnitude taken for anything measured; beyond it a digit has slipped. */
const LARGEST = 1e6

/** A finite number of sane size. The sentence says what is wanted. */
export const figure = (what: string) =>
  z
    .number({ error: `Give ${what} as a number.` })
    .min(-LARGEST, { error: `That is far too large for ${what}. Check the digits.` })
    .max(LARGEST, { error: `That is far too large for ${what}. Check the digits.` })

/** A number above zero. */
export const positive = (what: string) =>
  z
    .number({ error: `Give ${what} as a number.` })
    .gt(0, { error: `Give ${what} as a number above zero.` })
    .max(LARGEST, { error: `That is far too large for ${what}. Check the digits.` })

/** A number not below zero. */
export const notNegative = (what: string) =>
  z
    .number({ error: `Give ${what} as a number.` })
    .min(0, { error: `Give ${what} as zero or more.` })
    .max(LARGEST, { error: `That is far too large for ${what}. Check the digits.` })

/** One of a few words. */
export const oneOf = <const T extends readonly [string, ...string[]]>(what: string, words: T) =>
  z.enum(words, { error: `Give ${what} as one of: ${words.join(', ')}.` })

export const units = oneOf('the units', ['inch', 'metric'])

export const clock = z
  .number({ error: 'Give the clock angle in degrees.' })
  .min(-360, { error: 'Give the clock angle between 0 and 360 degrees.' })
  .max(720, { error: 'Give the clock angle between 0 and 360 degrees.' })

export const reading = z.object({
  clock,
  value: figure('the reading'),
  group: z.string().max(40).optional().describe('Zero group; readings zeroed together share it.'),
})

export const readings = z
  .array(reading, { error: 'Give the readings as a list of clock and value.' })
  .min(2, { error: 'Give at least two readings.' })
  .max(4000, { error: 'Give at most 4000 readings in one set.' })

export const vh = z.object({
  v: figure('the vertical value').nullable(),
  h: figure('the side value').nullable(),
})

export const couplingLine = z.object({ offset: vh, slope: vh })

export const feet = z
  .array(z.object({ id: z.string().min(1).max(40), x: figure('the distance to the feet') }), {
    error: 'Give the feet as a list of id and x.',
  })
  .min(2, { error: 'Give at least two foot pairs.' })
  .max(12, { error: 'Give at most twelve foot pairs.' })
  .superRefine((list, context) => {
    list.forEach((foot, i) => {
      const twin = list.findIndex((other) => other.id === foot.id)
      if (twin < i)
        context.addIssue({
          code: 'custom',
          path: [i, 'id'],
          message: 'Two foot pairs have the same id. Name them apart.',
        })
      if (list.some((other, j) => j < i && other.x === foot.x))
        context.addIssue({
          code: 'custom',
          path: [i, 'x'],
          message: 'Two foot pairs stand at the same place. Check the distances.',
        })
    })
  })

const readingSign = z.union([z.literal(1), z.literal(-1)], {
  error: 'Give the reading sign as 1 (press raises the number) or -1.',
})

export const dialSet = z.object({
  carriedBy: oneOf('the machine that carries the dial', ['movable', 'stationary']),
  plane: figure('the dial plane'),
  readings,
  sag: notNegative('the bar sag'),
  turning: oneOf('the shaft that turned', ['both', 'movable', 'stationary']).optional(),
  readingSign: readingSign.optional(),
})

export const faceSet = z.object({
  plunger: oneOf('the way the face plunger points', ['away', 'back']),
  diameter: positive('the face swing diameter'),
  readings,
  sag: figure('the face sag').optional(),
  readingSign: readingSign.optional(),
})

const band = z
  .tuple([figure('the lower bound').nullable(), figure('the upper bound').nullable()], {
    error: 'Give the window as [lowest, highest], null for an open side.',
  })
  .refine(([low, high]) => low === null || high === null || low <= high, {
    error: 'The lower bound is above the upper one. Swap them.',
  })
const bands = z.object({ v: band, h: band })
const mode = oneOf('the judging mode', ['plane', 'vector'])
const source = z.string().max(200).optional().describe('Where the limit comes from.')

export const tolerance = z.discriminatedUnion(
  'form',
  [
    z.object({
      form: z.literal('offset-slope'),
      mode,
      offset: positive('the offset limit'),
      slope: positive('the slope limit'),
      source,
    }),
    z.object({
      form: z.literal('flex-plane'),
      mode,
      slope: positive('the slope limit'),
      spoolLength: positive('the spool length'),
      source,
    }),
    z.object({ form: z.literal('window'), offset: bands, slope: bands, source }),
    z.object({
      form: z.literal('speed-rule'),
      mode,
      grade: oneOf('the grade', ['fine', 'standard']),
      spoolLength: positive('the spool length').optional(),
      source,
    }),
  ],
  { error: 'Give the tolerance form as offset-slope, flex-plane, window or speed-rule.' },
)

export const rpm = positive('the speed').max(200_000, {
  error: 'Give the speed in rpm. That is too fast for a shaft.',
})
