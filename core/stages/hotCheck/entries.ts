import type { MachineRole } from '../../plan/pairNames'
import type { UnitSystem } from '../../units/unitSystem'
import type { TargetPayload } from '../target/entries'

/** Where the axis was left cold by the job before: what a hot check of a later visit starts from. In the payload's units. */
export interface LeftCold {
  readonly units: UnitSystem
  readonly line: {
    readonly offset: { readonly v: number; readonly h: number }
    readonly slope: { readonly v: number; readonly h: number }
  }
  /** The job that left it there, and when that was closed. */
  readonly job: string
  readonly on: string
}

/** A temperature at one foot pair, in the unit of its entry. */
export interface FootTemperature {
  readonly machine: MachineRole
  readonly pair: string
  readonly value: number
}

export interface HotCheckEntries {
  /** It was switched on to get warm: the lockout is off from here. `at` is an ISO time. */
  'hot-run-begun': { readonly at: string; readonly left: LeftCold | null }
  'temperatures-read': {
    readonly units: UnitSystem
    readonly at: string
    readonly feet: readonly FootTemperature[]
  }
  'hot-run-ended': { readonly at: string }
  /** What is made of the hot reading: the target in force from here, and why where one was asked for. */
  'hot-answered': {
    readonly take: 'new' | 'old'
    readonly target: TargetPayload
    readonly why: string
  }
}
