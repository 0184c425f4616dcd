import type { Band } from '../judge/tolerance'
import type { FootedMachine } from './footedMachine'

/** What hangs on the drum's shaft and must be landed or blocked first. */
export const DRUM_LOADS = ['skip', 'suspended', 'counterweight', 'none'] as const
export type DrumLoad = (typeof DRUM_LOADS)[number]

/** What the motor is trammed to. */
export const DRUM_KINDS = ['brake-drum', 'flywheel'] as const
export type DrumKind = (typeof DRUM_KINDS)[number]

/** What a dial may show as it is read, its sag in it (mil or mm): side is 3 less 9, top is 12 less the middle of the sides. */
export interface DialWindows {
  readonly side: Band
  readonly top: Band
}

export interface DrumWindows {
  readonly rim: DialWindows
  readonly face: DialWindows
}

const OPEN: Band = [null, null]
/** No window on any reading. */
export const NO_WINDOWS: DrumWindows = { rim: { side: OPEN, top: OPEN }, face: { side: OPEN, top: OPEN } }

/** Whether any reading is judged as it is read. */
export const judgedAsRead = ({ rim, face }: DrumWindows): boolean =>
  [rim.side, rim.top, face.side, face.top].some(isSet)

/** A band that is open on both sides judges nothing. */
export const isSet = ([low, high]: Band): boolean => low !== null || high !== null

/** What a motor is trammed to; in the record's own units. */
export interface Drum {
  readonly kind: DrumKind
  readonly load: DrumLoad
  /** Windows of the works' card, on the readings as they are; what one leaves open the limit on offset and angle says. */
  readonly windows: DrumWindows
  /** Most that its rim and face may run out once it is bolted up (mil or mm); null takes the starting rule. */
  readonly runout: number | null
}

/**
 * A motor on feet, trammed to a drum by rods from its own coupling. Only the motor turns. The place to count
 * from is where the rim dial runs.
 */
export interface DrumMachine extends FootedMachine {
  readonly drive: 'drum'
  readonly drum: Drum
}
