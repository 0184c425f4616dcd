import { z } from 'zod'
import { ALL_SPEAKER_UNITS, SPEAKER_UNITS, SPEAKERS } from '../../core/instruments/places'
import { oneOf } from '../calculation/fields'
import { issue } from '../issue'
import { instrumentSerial } from './fields'

/** The version of the line between an instrument and the program; see docs/instruments.md. */
export const PROTOCOL = 1
/** Most bytes of one line. */
export const LONGEST_LINE = 1000
/** Seconds an instrument may say nothing: then it says that it is there. */
export const EVERY_SECONDS = 2
/** Samples a second that are passed on; a short burst may be twice as many. */
export const MOST_A_SECOND = 60
/** Letters and digits of a pairing code: none that is taken for another. */
export const CODE_LETTERS = '23456789ABCDEFGHJKLMNPQRTUVWXYZ'
export const CODE_LENGTH = 6
/** Minutes in which a pairing code holds. */
export const CODE_MINUTES = 10

const number = (what: Parameters<typeof issue>[1], most: number) =>
  z
    .number({ error: issue('number', what) })
    .min(-most, { error: issue('too-large', what) })
    .max(most, { error: issue('too-large', what) })
const battery = number('battery', 100)
  .min(0, { error: issue('zero-or-more', 'battery') })
  .optional()

/** The first line of an instrument. */
export const hello = z
  .object({
    hello: z.literal(PROTOCOL, { error: issue('instrument-version') }),
    kind: oneOf('kind-of-instrument', SPEAKERS),
    serial: instrumentSerial,
    unit: oneOf('units', ALL_SPEAKER_UNITS),
    graduation: z
      .number({ error: issue('above-zero', 'graduation') })
      .positive({ error: issue('above-zero', 'graduation') })
      .max(1000, { error: issue('too-large', 'graduation') }),
    /** The last day its calibration holds; null where it has none. */
    calibrated: z.iso.date({ error: issue('day', 'calibration-due') }).nullable(),
    /** The pairing code that the job shows; or the key it was given when it was paired. */
    code: z
      .string({ error: issue('instrument-code') })
      .max(20, { error: issue('instrument-code') })
      .optional(),
    key: z
      .string({ error: issue('instrument-code') })
      .max(100, { error: issue('instrument-code') })
      .optional(),
    battery,
  })
  .superRefine((h, context) => {
    if (!(SPEAKER_UNITS[h.kind] as readonly string[]).includes(h.unit))
      context.addIssue({
        code: 'custom',
        path: ['unit'],
        message: issue('one-of', 'units', SPEAKER_UNITS[h.kind].join(', ')),
      })
    if ((h.code === undefined) === (h.key === undefined))
      context.addIssue({ code: 'custom', path: ['code'], message: issue('instrument-code') })
  })
export type Hello = z.infer<typeof hello>

export const QUALITIES = ['good', 'poor', 'none'] as const

const sample = z.object({
  /** Seconds by the instrument's own clock. */
  t: number('instrument-time', 1e12),
  /** Null where it has no figure, as a head whose beam is lost. */
  v: number('reading', 1e6).nullable(),
  /** Where its shaft stands: clockwise from 12, seen from behind the movable machine's outboard end. */
  clock: number('clock-position', 360)
    .min(0, { error: issue('zero-or-more', 'clock-position') })
    .optional(),
  quality: oneOf('quality', QUALITIES).optional(),
  battery,
})
const alive = z.object({ alive: z.literal(1), battery })
const bye = z.object({ bye: z.literal(1) })

/** Any line behind the first. */
export const said = z.union([sample, alive, bye], { error: issue('instrument-line') })
export type Said = z.infer<typeof said>

/** What an instrument may be told to do. */
export const COMMANDS = ['zero', 'take', 'beep'] as const
export type Command = (typeof COMMANDS)[number]

/** Why an instrument is sent away. */
export const REFUSALS = [
  'bad-hello',
  'unknown-code',
  'unknown-key',
  'wrong-kind',
  'released',
  'too-many',
  'flood',
  'garbage',
  'silent',
  'elsewhere',
] as const
export type Refusal = (typeof REFUSALS)[number]

/** What the program says to an instrument. */
export type Told =
  | { readonly welcome: 1; readonly place: string; readonly key: string; readonly every: number }
  | { readonly do: Command }
  /** The line before was not understood and left out. */
  | { readonly wrong: string; readonly say: string }
  /** The line is closed. */
  | { readonly refused: Refusal; readonly say: string }
