import type { Millimetres, Newtons } from '../units/unitSystem'

const KSI = 6.894757
const INCH = 25.4

/** Proof stress, MPa, of bolts up to a diameter; the last row has no end. */
type BySize = readonly [
  ...(readonly { readonly upTo: Millimetres; readonly stress: number }[]),
  { readonly stress: number },
]

interface BoltGrade {
  /** Which thread form its tensile area goes by. */
  readonly thread: Thread
  readonly proof: BySize
}

export type Thread = 'inch' | 'metric'

const grade = (...proof: BySize): BoltGrade => ({ thread: 'inch', proof })
const property = (...proof: BySize): BoltGrade => ({ thread: 'metric', proof })

/** Proof stress of common bolt classes, which falls or rises with size. Typical; the maker's or an own value wins. */
const GRADES = {
  '4.6': property({ stress: 225 }),
  '5.8': property({ stress: 380 }),
  '8.8': property({ upTo: 16, stress: 580 }, { stress: 600 }),
  '10.9': property({ stress: 830 }),
  '12.9': property({ stress: 970 }),
  'grade-2': grade({ upTo: 0.75 * INCH, stress: 55 * KSI }, { stress: 33 * KSI }),
  'grade-5': grade({ upTo: 1 * INCH, stress: 85 * KSI }, { stress: 74 * KSI }),
  'grade-8': grade({ stress: 120 * KSI }),
} as const satisfies Record<string, BoltGrade>
export type BoltClass = keyof typeof GRADES
export const BOLT_CLASSES = Object.keys(GRADES) as [BoltClass, ...BoltClass[]]

/** A size typed in the other unit may miss its own boundary by a rounding. */
const SAME_SIZE: Millimetres = 0.01

/** Proof stress of a bolt of this class and size, MPa. */
export const proofStress = (bolt: BoltClass, diameter: Millimetres): number => {
  const { proof }: BoltGrade = GRADES[bolt]
  const last = proof[proof.length - 1] as { readonly stress: number }
  return (proof.find((row) => 'upTo' in row && diameter <= row.upTo + SAME_SIZE) ?? last).stress
}

export const threadOf = (bolt: BoltClass): Thread => GRADES[bolt].thread

/** Tensile area of a 60 degree thread, mm^2: inch threads are counted a little thinner than metric ones. */
export const tensileArea = (thread: Thread, diameter: Millimetres, pitch: Millimetres): number =>
  (Math.PI / 4) * (diameter - (thread === 'inch' ? 0.9743 : 0.9382) * pitch) ** 2

export type Lubrication = 'dry' | 'oiled'
/** Nut factor: share of torque that friction and thread turn into preload. Editable. */
export const NUT_FACTOR: Readonly<Record<Lubrication, number>> = { dry: 0.2, oiled: 0.15 }

/** Share of proof load a foot bolt is pulled to unless the maker says otherwise. */
const PROOF_SHARE = 0.75
/** Three rounds, so that the first bolts do not shift the machine. */
export const PASS_SHARES = [0.3, 0.6, 1] as const

export interface TighteningInput {
  readonly thread: Thread
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
 * Torque in three passes: `torque = k d F`, `F = 0.75 * proof stress * tensile area`.
 * Millimetres, MPa, newtons, newton metres.
 * Source: docs/methods/tightening.md.
 */
export const tightening = (input: TighteningInput): TighteningResult => {
  const area = tensileArea(input.thread, input.diameter, input.pitch)
  const own = PROOF_SHARE * input.proofStress * area
  const torque = input.makerTorque ?? (input.nutFactor * input.diameter * own) / 1000
  const preload =
    input.makerTorque === undefined ? own : (input.makerTorque * 1000) / (input.nutFactor * input.diameter)
  return {
    tensileArea: area,
    preload,
    torque,
    passes: PASS_SHARES.map((share) => ({ share, torque: share * torque })),
    order: crissCross(input.bolts),
  }
}
