import type { MachineRole, Side } from '../plan/pairNames'
import type { Millimetres } from '../units/unitSystem'

/** A foot pair as registered, in the record's own units. */
export interface RegisteredPair {
  readonly id: string
  /** Distance from the coupling centre (in or mm); negative on the stationary machine, null where nobody taped it. */
  readonly x: number | null
  /** Shims under each foot, bottom up (mil or mm). */
  readonly existing: Readonly<Record<Side, readonly number[]>>
  readonly maxPack: number
  /** Room in the bolt holes toward 3 and toward 9 (mil or mm). */
  readonly sidePlus: number
  readonly sideMinus: number
  readonly locked: boolean
}

/** A pair whose place is known. */
export interface TapedPair extends RegisteredPair {
  readonly x: number
}

/** Shims under one foot pair, millimetres. */
export interface PairPacks {
  readonly machine: MachineRole
  readonly id: string
  readonly packs: Readonly<Record<Side, readonly Millimetres[]>>
}
