import type { Millimetres, Newtons } from '../units/unitSystem'

/** Proof stress of common bolt classes, MPa. Typical figures; the maker's or an own value wins. */
export const PROOF_STRESS = {
  '4.6': 225,
  '5.8': 380,
  '8.8': 600,
  '10.9': 830,
  '12.9': 970,
  'grade-2': 379,
  'grade-5': 586,
  'grade-8': 827,
} as const
export type BoltClass = keyof typeof PROOF_STRESS
export const BOLT_CLASSES = Object.keys(PROOF_STRESS) as [BoltClass, ...BoltClass[]]

export type Lubrication = 'dry' | 'oiled'
/** Nut factor: share of torque that friction and thread turn into preload. Editable. */
export const NUT_FACTOR: Readonly<Record<Lubrication, number>> = { dry: 0.2, oiled: 0.15 }

/** Share of proof load a foot bolt is pulled to unless the maker says otherwise. */
const PROOF_SHARE = 0.75
/** Three rounds, so that the first bolts do not shift the machine. */
export const PASS_SHARES = [0.3, 0.6, 1] as const

export interface TighteningInput {
  readonly diameter: Millimetres
  readonly pitch: Millimetres
  /** MPa. */
  readonly proofStress: number
  readonly nutFactor: number
  readonly bolts: number
  /** Torque the maker gives, N m; it then rules. */
  readonly makerTorque?: number
}

export interface TighteningResult {
  /** mm^2 */
  readonly tensileArea: number
  readonly preload: Newtons
  /** N m */
  readonly torque: number
  readonly passes: readonly { readonly share: number; readonly torque: number }[]
  /** Bolt numbers in tightening order, counted round the machine from 1. */
  readonly order: readonly number[]
}

/**
 * Criss-cross order of bolts numbered round the machine: 1-3-2-4 for four, and in general each
 * bolt followed by the one farthest across.
 */
export const crissCross = (bolts: number): readonly number[] => {
  const half = Math.ceil(bolts / 2)
  const order: number[] = []
  for (let i = 0; i < half; i++) {
    order.push(i + 1)
    if (i + half < bolts) order.push(i + half + 1)
  }
  return order
}

/**
 * Torque in three passes: `torque = k d F`, `F = 0.75 * proof stress * tensile area`, tensile area
 * of a 60 degree thread `pi/4 (d - 0.9382 pitch)^2`. Millimetres, MPa, newtons, newton metres.
 * Source: docs/methods/tightening.md.
 */
export const tightening = (input: TighteningInput): TighteningResult => {
  const tensileArea = (Math.PI / 4) * (input.diameter - 0.9382 * input.pitch) ** 2
  const own = PROOF_SHARE * input.proofStress * tensileArea
  const torque = input.makerTorque ?? (input.nutFactor * input.diameter * own) / 1000
  const preload =
    input.makerTorque === undefined ? own : (input.makerTorque * 1000) / (input.nutFactor * input.diameter)
  return {
    tensileArea,
    preload,
    torque,
    passes: PASS_SHARES.map((share) => ({ share, torque: share * torque })),
    order: crissCross(input.bolts),
  }
}
