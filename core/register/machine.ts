import type { Carrier, Plunger } from '../coupling/dialSet'
import type { Side } from '../plan/movePlan'
import type { Tolerance } from '../judge/tolerance'
import { toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'

/** A foot pair of the movable machine as registered, in the record's own units. */
export interface RegisteredPair {
  readonly id: string
  /** Distance from the coupling centre (in or mm). */
  readonly x: number
  /** Shims under each foot, bottom up (mil or mm). */
  readonly existing: Readonly<Record<Side, readonly number[]>>
  readonly maxPack: number
  /** Room in the bolt holes toward 3 and toward 9 (mil or mm). */
  readonly sidePlus: number
  readonly sideMinus: number
  readonly locked: boolean
}

/** What the calculations need to know of a coupled machine, in the record's own units. */
export interface CoupledMachine {
  readonly units: UnitSystem
  readonly rpm: number
  /** Where the dials usually run. */
  readonly usual: {
    readonly carriedBy: Carrier
    readonly rimPlane: number
    readonly plunger: Plunger
    readonly faceDiameter: number
  }
  readonly feet: readonly RegisteredPair[]
  /** Foot pairs of the stationary machine, for the drawing; negative x. */
  readonly stationaryFeet: readonly { readonly id: string; readonly x: number }[]
  /** Its own limit, in the record's units like everything here. */
  readonly tolerance: Tolerance
  readonly stock: readonly { readonly thickness: number; readonly count: number }[]
  readonly packLimit: number
}

/** Shims under one foot pair, millimetres. */
export interface PairPacks {
  readonly id: string
  readonly packs: Readonly<Record<Side, readonly Millimetres[]>>
}

/** The registered packs in millimetres. */
export const registeredPacks = (machine: CoupledMachine): readonly PairPacks[] => {
  const thick = (t: number) => toCore(t, 'displacement', machine.units)
  return machine.feet.map((f) => ({
    id: f.id,
    packs: { left: f.existing.left.map(thick), right: f.existing.right.map(thick) },
  }))
}
