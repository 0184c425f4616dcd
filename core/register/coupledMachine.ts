import type { ComeBackRules } from '../comeBack/rules'
import type { FootPlane } from '../coupling/feet'
import type { LimitSet } from '../judge/limitSets'
import { settleTolerance, type SettledTolerance, type Tolerance } from '../judge/tolerance'
import { toleranceToCore } from '../judge/toleranceUnits'
import type { LogEntry } from '../logbook/entry'
import { remember } from '../logbook/remember'
import type { UsualPlaces } from '../methods/methods'
import { MACHINE_ROLES, type MachineRole } from '../plan/planFoot'
import type { BoltsPayload } from '../stages/move/entries'
import type { TargetPayload } from '../stages/target/entries'
import { toCore, type UnitSystem } from '../units/unitSystem'
import type { CouplingType } from './couplingParts'
import type { RegisteredHubs } from './hubs'
import type { PairPacks, RegisteredPair } from './pair'
import type { StockLeaf } from './shelf'

/** Two machines joined by a coupling, in the record's own units. */
export interface CoupledMachine {
  readonly drive: 'coupled'
  readonly units: UnitSystem
  readonly rpm: number
  /** When to come back, by this machine's own rule. */
  readonly comeBack?: ComeBackRules
  /** How it is usually measured, and where the dials run then. */
  readonly usual: UsualPlaces
  /** Foot pairs of each machine, two or more of the movable one, nearest the coupling first. */
  readonly feet: Readonly<Record<MachineRole, readonly RegisteredPair[]>>
  readonly couplingType?: CouplingType
  readonly hubs?: RegisteredHubs
  /** Where its movable axis is to lie cold, as the last job left it. */
  readonly target?: TargetPayload
  /** Hold-down bolts of the movable machine. */
  readonly bolts?: BoltsPayload
  /** Its own limit. */
  readonly tolerance: Tolerance
  /** The size cut for its bolts, by the works' own letter or number. */
  readonly shimSize?: string | undefined
  readonly stock: readonly StockLeaf[]
  readonly packLimit: number
  /** Tables of limits that it is judged by, nearest first, as they were at the opening of a job. */
  readonly limitSets?: readonly LimitSet[]
}

/** The registered packs of both machines in millimetres. */
export const registeredPacks = remember((machine: CoupledMachine): readonly PairPacks[] => {
  const thick = (t: number) => toCore(t, 'displacement', machine.units)
  return MACHINE_ROLES.flatMap((role) =>
    machine.feet[role].map((f) => ({
      machine: role,
      id: f.id,
      packs: { left: f.existing.left.map(thick), right: f.existing.right.map(thick) },
    })),
  )
})

/** Where the register says the feet of one machine stand, millimetres. */
const registeredFeet = (machine: CoupledMachine, role: MachineRole): readonly FootPlane[] =>
  machine.feet[role].map((f) => ({ id: f.id, x: toCore(f.x, 'distance', machine.units) }))

/** Registered feet of the movable machine. */
export const movableFeet = remember((machine: CoupledMachine) => registeredFeet(machine, 'movable'))
/** Registered feet of the stationary machine. */
export const stationaryFeet = remember((machine: CoupledMachine) => registeredFeet(machine, 'stationary'))

/** The limits at the speed that was read off at the opening. */
export const limitsOf = remember(
  (machine: CoupledMachine, opening: LogEntry<'job-opened'>): SettledTolerance =>
    settleTolerance(
      toleranceToCore(machine.tolerance, machine.units),
      opening.payload.rpm,
      machine.limitSets,
    ),
)

/** The limits at the registered speed, for a job that is not open yet. */
export const registeredLimits = remember((machine: CoupledMachine): SettledTolerance =>
  settleTolerance(toleranceToCore(machine.tolerance, machine.units), machine.rpm, machine.limitSets),
)
