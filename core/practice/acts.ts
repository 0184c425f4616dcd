import type { MethodGiven } from '../methods/methods'
import type { MachineRole, Side } from '../plan/pairNames'
import type { Degrees, Millimetres } from '../units/unitSystem'
import type { BenchFoot } from './bench'

/** What a pair of hands does to the machine on the bench. Core units. */
export type BenchAct =
  /** Instruments are mounted as this set-up says; whatever stood there before is gone. */
  | { readonly act: 'mount'; readonly how: MethodGiven }
  /** The shafts are turned by the coupling, clockwise positive. */
  | { readonly act: 'turn'; readonly by: Degrees }
  | { readonly act: 'zero'; readonly circle: string }
  /** The plunger is pressed by hand and let go. */
  | { readonly act: 'press'; readonly circle: string }
  /** The bracket's clamp is tightened. */
  | { readonly act: 'clamp' }
  | { readonly act: 'bolt'; readonly foot: BenchFoot; readonly tight: boolean }
  /** All four bolts, in their order. */
  | { readonly act: 'bolts'; readonly tight: boolean }
  /** Leaves under a foot of the movable machine, by what is marked on them. */
  | {
      readonly act: 'leaves'
      readonly foot: BenchFoot
      readonly out: readonly Millimetres[]
      readonly in: readonly Millimetres[]
    }
  /** The same under the driven machine, whose bolts are opened and closed with it. */
  | {
      readonly act: 'driven-leaves'
      readonly pair: string
      readonly side: Side
      readonly out: readonly Millimetres[]
      readonly in: readonly Millimetres[]
    }
  /** One end is pushed by its jacking bolt, toward 3 positive. */
  | { readonly act: 'push'; readonly machine: MachineRole; readonly pair: 0 | 1; readonly by: Millimetres }
  /** A dial stands on a foot, or beside both ends, and is zeroed. */
  | { readonly act: 'foot-dial'; readonly foot: BenchFoot }
  | { readonly act: 'side-dials' }
  | { readonly act: 'couple'; readonly made: boolean }
  | { readonly act: 'pipe'; readonly slack: boolean }
  | { readonly act: 'guard'; readonly on: boolean }
  | { readonly act: 'lock'; readonly on: boolean }
  /** The machine runs for so long, then is stopped. */
  | { readonly act: 'run'; readonly minutes: number }
  | { readonly act: 'wait'; readonly minutes: number }

/** Why hands can't do that now. */
export type ActRefusal =
  | 'locked-out'
  | 'power-on'
  | 'guard-off'
  | 'guard-on'
  | 'no-dial'
  | 'bolted-down'
  | 'not-all-loose'
  | 'no-such-leaf'
  | 'no-room'
  | 'not-coupled'
