import { z } from 'zod'
import type { Speaker } from '../../core/instruments/places'
import { oneOf } from '../calculation/fields'
import { issue } from '../issue'
import { uuid } from '../text'
import { instrumentPlace } from './fields'
import { COMMANDS } from './protocol'

/** A code is asked for, so that an instrument can be bound to a place of the job. */
export const askForCode = z.object({ place: instrumentPlace, author: uuid('who-is-writing') })
/** Said to an instrument: zero, take, beep. */
export const toInstrument = z.object({ do: oneOf('command', COMMANDS) })
/** Two instruments change places: their lines were mixed up. */
export const swapPlaces = z.object({
  places: z.tuple([instrumentPlace, instrumentPlace], { error: issue('two-places') }),
})

/** An instrument as it introduced itself. Graduation in core units. */
export interface SpokenFor {
  readonly kind: Speaker
  readonly serial: string
  readonly unit: string
  readonly graduation: number
  /** The last day its calibration holds; null where it has none. */
  readonly calibrated: string | null
}

/** A place of a job that an instrument stands at, or is awaited at. */
export interface InstrumentLink {
  readonly id: string
  readonly place: string
  /** `awaited`: a code waits to be typed. `silent`: its line stands, nothing comes. `gone`: its line is down. */
  readonly state: 'awaited' | 'speaking' | 'silent' | 'gone'
  readonly code: string | null
  readonly codeUntil: string | null
  readonly instrument: SpokenFor | null
  /** Percent, where it tells. */
  readonly battery: number | null
  /** It sends more than is passed on, or lines that can't be read. */
  readonly trouble: 'flood' | 'garbage' | null
}

/** A figure of an instrument on its way to a needle, in core units. */
export interface LiveSample {
  readonly place: string
  /** Seconds by the instrument's clock. */
  readonly t: number
  readonly v: number | null
  readonly clock: number | null
  readonly poor: boolean
}
