import type { MethodGiven } from '../../methods/methods'
import type { MachineRole } from '../../plan/pairNames'
import type { SetUpCheck } from './checks'
import type { PipeTurn } from '../../setup/barOnPipe'
import type { UnitSystem } from '../../units/unitSystem'

/** How the bolts of a flange were taped: from the middle, across the circle, or from bolt to bolt in each plane. */
export const FLANGE_TAPES = ['radius', 'circle', 'each-plane'] as const
export type FlangeTape = (typeof FLANGE_TAPES)[number]

/** A flange by tape, in contract units: across is the whole circle, however it was told. */
export interface TapedFlange {
  readonly told: FlangeTape
  readonly across: { readonly v: number; readonly h: number }
  readonly plane: number
}

/** How the instrument stands, in contract units of `units`. */
export interface SetUpPayload {
  readonly units: UnitSystem
  readonly how: MethodGiven
  /** The way sag and swing circle were told; what they come to is in `how`. */
  readonly told: { readonly sag: 'hang' | 'pipe-at-6'; readonly circle: 'diameter' | 'radius' }
  /** Distance of each foot pair from the coupling centre. */
  readonly feet: readonly { readonly machine: MachineRole; readonly pair: string; readonly x: number }[]
  /** A motor on a flange instead of feet: its bolt circle, and how far up from the coupling centre the flange lies (in or mm). */
  readonly flange?: TapedFlange | undefined
  /** One graduation, by circle. */
  readonly graduation: Readonly<Record<string, number>>
  /** What each dial showed after one full turn back to the start, by circle. */
  readonly returned: Readonly<Record<string, number>>
  /** Why it is used although a dial missed zero; empty when none did. */
  readonly why: string
  /** What was checked before reading; nothing is known of sets logged before it was asked. */
  readonly checked?: readonly SetUpCheck[] | undefined
  /** Bars measured on a pipe, by the method's number for their sag: what the dial showed. */
  readonly pipe?: Readonly<Record<string, PipeTurn>> | undefined
  /** The movable machine's head was nudged: what its figure and the other's changed by. */
  readonly nudged?: { readonly own: number; readonly other: number } | undefined
  /** The mark of the still hub that stood at 12, where its measured run-out is taken out; it is in `how`. */
  readonly markUp?: number | undefined
  /** How the instrument is marked, so that it can be fitted again the same. */
  readonly refit?: string | undefined
}

export interface SetUpEntries {
  'set-up': SetUpPayload
}
