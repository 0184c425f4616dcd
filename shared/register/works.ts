import type { ComeBackRules } from '../../core/comeBack/rules'
import type { Pace } from '../../core/history/pace'
import type { Role } from '../../core/logbook/may'
import type { SpareBelts } from '../../core/stores/spareBelts'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { WorksTables } from './keptWithJob'
import type { FootWords } from '../wording/telling'

export type { Role }

export interface Person {
  readonly id: string
  readonly name: string
  readonly role: Role
  /** Let in no more; what they wrote keeps their name. */
  readonly retired?: boolean
}

/** Shims that a plan may have: of all places, less what other plans have asked for. */
export interface ShimStock {
  readonly units: UnitSystem
  readonly thickness: number
  readonly kind: 'plain' | 'laminated'
  readonly layer: number | null
  /** Empty where it fits any bolt. */
  readonly size: string
  readonly count: number
}

export const INSTRUMENT_KINDS = ['dial', 'heads', 'level', 'feelers', 'torque-wrench', 'belt-gauge'] as const

/** An instrument of the stores. */
export interface Instrument {
  readonly id: string
  readonly name: string
  readonly kind: (typeof INSTRUMENT_KINDS)[number]
  /** The last day its calibration holds, YYYY-MM-DD; null where it has none. */
  readonly due: string | null
}

export interface Works {
  readonly name: string
  /** Most shims under one foot. */
  readonly packLimit: number
  /** The pair of words used for feet here. */
  readonly footWords: FootWords
  /** When to come back where a machine has no rule of its own; null where the works has none either. */
  readonly comeBack: ComeBackRules | null
  readonly version: number
  /** How its moves go against the starting values; null until enough were made. */
  readonly pace: Pace | null
  readonly stock: readonly ShimStock[]
  /** What it judges by; missing in a works kept on a device before it was told. */
  readonly tables?: WorksTables
  readonly instruments: readonly Instrument[]
  /** Spare belts with what lies there; missing in a works kept on a device before there were any. */
  readonly spareBelts?: readonly { readonly lot: SpareBelts; readonly now: number }[]
}
