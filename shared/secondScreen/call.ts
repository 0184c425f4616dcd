import { z } from 'zod'
import { TENSION_SCHOOLS } from '../../core/stages/tension/entries'
import { oneOf, units } from '../calculation/fields'
import { issue } from '../issue'
import { text, uuid, words } from '../text'

const circle = words('circle', 60)
const clock = z
  .number({ error: issue('number', 'clock-position') })
  .min(0, { error: issue('number', 'clock-position') })
  .max(360, { error: issue('number', 'clock-position') })

/** What the board wants read next, as it is called there. */
const wanted = z.object({
  circle,
  /** As the board’s boxes have it, from where that looks. */
  clock,
  /** The same place as it is stored: the phone tells it as seen from behind the movable machine. */
  at: clock,
  /** As the board calls the dial. */
  dial: words('circle', 80),
  units,
  /** Boxes that are still empty. */
  left: z
    .int({ error: issue('number', 'count-left') })
    .min(0)
    .max(1000),
})

const MOST_BELTS = 40
const belt = z
  .int({ error: issue('number', 'belt') })
  .min(1)
  .max(MOST_BELTS)

/** The belt that is read next at the board, and how it is pressed, tapped or measured there. */
const press = z.object({
  /** From 1, of so many. */
  belt,
  of: belt,
  by: oneOf('how-belts-are-read', TENSION_SCHOOLS),
  /** Where the gauge is pressed to, as the board says it; empty where a school has none. */
  to: text('gauge', 40),
  units,
  /** Belts that are still unread. */
  left: z
    .int({ error: issue('number', 'count-left') })
    .min(0)
    .max(MOST_BELTS),
})

/** A word between the board and the second screen. It is passed on and kept nowhere: what counts is logged. */
export const call = z.discriminatedUnion(
  'says',
  [
    /** The second screen is there, and where. */
    z.object({ says: z.literal('here'), from: uuid('screen') }),
    /** What is read next at the board; null when nothing is. */
    z.object({ says: z.literal('wants'), from: uuid('screen'), wants: wanted.nullable() }),
    /** The belt that is read next at the board; null when none is. */
    z.object({ says: z.literal('presses'), from: uuid('screen'), press: press.nullable() }),
    /** What the gauge showed at a belt, as it was typed. */
    z.object({
      says: z.literal('pressed'),
      from: uuid('screen'),
      belt,
      by: oneOf('how-belts-are-read', TENSION_SCHOOLS),
      units,
      value: text('reading', 20),
    }),
    /** The shaft stands where it was wanted. */
    z.object({ says: z.literal('there'), from: uuid('screen'), circle, clock }),
    /** What the dial shows, as it was typed. */
    z.object({
      says: z.literal('reads'),
      from: uuid('screen'),
      circle,
      clock,
      units,
      value: text('reading', 20),
    }),
  ],
  { error: issue('one-of', 'call', 'here, wants, there, reads, presses, pressed') },
)
export type Call = z.infer<typeof call>
export type Wanted = z.infer<typeof wanted>
export type Press = z.infer<typeof press>

/** Which side of the machine somebody stands at, by the clock as seen from behind the movable machine. */
export const MATE_SIDES = ['9', '3'] as const
export type MateSide = (typeof MATE_SIDES)[number]
