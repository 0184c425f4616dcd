import type { ComeBackRules } from '../comeBack/rules'
import type { LimitSet } from '../judge/limitSets'
import { settleTolerance, type SettledTolerance, type Tolerance } from '../judge/tolerance'
import { toleranceToCore } from '../judge/toleranceUnits'
import type { LogEntry } from '../logbook/entry'
import { remember } from '../logbook/remember'
import type { UsualPlaces } from '../methods/methods'
import type { BoltsPayload } from '../stages/move/entries'
import type { UnitSystem } from '../units/unitSystem'
import type { CouplingType } from './couplingParts'
import type { RegisteredHubs } from './hubs'
import type { StockLeaf } from './shelf'

/** What every machine has whose shaft is measured at a coupling, however it is mounted; in the record's own units. */
export interface MeasuredMachine {
  readonly units: UnitSystem
  readonly rpm: number
  /** When to come back, by this machine's own rule. */
  readonly comeBack?: ComeBackRules
  /** How it is usually measured, and where the dials run then. */
  readonly usual: UsualPlaces
  readonly couplingType?: CouplingType
  readonly hubs?: RegisteredHubs
  /** The bolts that hold the movable machine. */
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

/** The limits at the speed that was read off at the opening. */
export const limitsOf = remember(
  (machine: MeasuredMachine, opening: LogEntry<'job-opened'>): SettledTolerance =>
    settleTolerance(
      toleranceToCore(machine.tolerance, machine.units),
      opening.payload.rpm,
      machine.limitSets,
    ),
)

/** The limits at the registered speed, for a job that is not open yet. */
export const registeredLimits = remember((machine: MeasuredMachine): SettledTolerance =>
  settleTolerance(toleranceToCore(machine.tolerance, machine.units), machine.rpm, machine.limitSets),
)
