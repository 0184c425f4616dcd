import type { SheavePlace } from '../../register/beltMachine'
import type { UnitSystem } from '../../units/unitSystem'

/** On which sheave the edge lies, and on which of its faces: turned away from the motor, or to it. */
interface EdgeLies {
  readonly edgeOn: SheavePlace
  readonly edgeSide: 'outer' | 'inner'
}

/** Gaps read once more with both sheaves turned half a turn; what wobbles is taken out by the mean. */
export interface HalfTurn {
  readonly p1: number
  readonly p2: number
  /** At the edge shifted up and down; null when tilt was not read. */
  readonly tilt: { readonly g12: number; readonly g6: number } | null
}

export const LINE_STEPS = ['tilt', 'turn', 'offset'] as const
export type LineStep = (typeof LINE_STEPS)[number]

export interface BeltEntries {
  /** The quick check: which of the four rims touch the edge. Near is nearer the other shaft. */
  'contacts-checked': EdgeLies & {
    readonly reference: { readonly far: boolean; readonly near: boolean }
    readonly other: { readonly near: boolean; readonly far: boolean }
  }
  /** The gaps at the edge, as distances in contract units of `units`. */
  'sheaves-read': EdgeLies & {
    readonly units: UnitSystem
    readonly p1: number
    readonly p2: number
    readonly w: number
    /** Gaps at the sheave the edge lies on, where it does not lie flat. */
    readonly reference: { readonly r1: number; readonly r2: number; readonly wR: number } | null
    /** Edge shifted up and down the face; null when tilt was not read. */
    readonly tilt: { readonly g12: number; readonly g6: number; readonly h: number } | null
    /** A straightedge, or a string drawn taut; missing in readings taken before it was asked. */
    readonly by?: 'edge' | 'string' | undefined
    /** Which grooves a belt runs in, counted from the faces the edge lies on; missing: the first of each. */
    readonly grooves?: Readonly<Record<SheavePlace, number>> | undefined
    /** The same gaps with both sheaves half a turn on; missing where they were not read so. */
    readonly halfTurn?: HalfTurn | undefined
  }
  /** What was done about it; the line must be read again after it. */
  'line-corrected': { readonly steps: readonly LineStep[]; readonly remark: string }
}
