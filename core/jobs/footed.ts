import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import { remember } from '../logbook/remember'
import type { Skips } from '../logbook/stage'
import { movableFeet, stationaryFeet, type FootedMachine } from '../register/footedMachine'
import type { CoupledMachine, DrumMachine } from '../register/machine'
import type { PairPacks } from '../register/pair'
import type { Closing, Outcome } from '../stages/close/closing'
import type { FeetCheck } from '../stages/feet/feetCheck'
import type { Looks } from '../stages/look/looks'
import type { Safety } from '../stages/makeSafe/safety'
import type { Measurement } from '../stages/measure/measurement'
import type { Bolts } from '../stages/move/bolts'
import type { FeetOf } from '../stages/move/footwork'
import type { MoveRecord } from '../stages/move/moves'
import type { PushWatch } from '../stages/move/push'
import type { Kit } from '../stages/open/kit'
import type { Opening, Remarks } from '../stages/open/opening'
import type { Vibration } from '../stages/open/vibration'
import type { PlanRecord } from '../stages/plan/plans'
import type { Proof } from '../stages/prove/checkProof'
import type { SetUp } from '../stages/setUp/setUp'

/** What is derived of any job on a motor that stands on feet. Core units throughout. */
export interface FootedState {
  readonly machine: CoupledMachine | DrumMachine
  readonly skips: Skips
  readonly opening: Opening
  readonly kit: Kit
  readonly vibration: Vibration
  readonly rpm: number
  readonly tolerance: SettledTolerance
  /** The line that every verdict is taken from. */
  readonly target: Misalignment
  readonly safety: Safety
  readonly looks: Looks
  readonly feetCheck: FeetCheck
  readonly setUp: SetUp | null
  readonly feet: FeetOf
  /** Index 0 is as found; index n is after the n-th move. */
  readonly measurements: readonly Measurement[]
  readonly latest: Measurement
  /** The plan that waits to be carried out. */
  readonly plan: PlanRecord | null
  /** The side move under way, watched at both ends. */
  readonly push: PushWatch
  /** Null where nobody has said which they are. */
  readonly bolts: Bolts | null
  readonly moves: readonly MoveRecord[]
  readonly packs: readonly PairPacks[]
  /** As they lay before the last move; as they lie where nothing was moved. */
  readonly packsBefore: readonly PairPacks[]
  /** Leaves were laid or taken since the job was opened. */
  readonly shimmed: boolean
  readonly asFound: Measurement | null
  /** The last measurement that could be used; equals as found when nothing was moved. */
  readonly asLeft: Measurement | null
  /** Rotation, grease, the coupling made up and read once more, all tight, guard on. */
  readonly proof: Proof
  readonly remarks: Remarks
  readonly closing: Closing
  readonly outcome: Outcome
}

/** Where the feet stand by this set-up. */
export const tapedFeet = remember((setUp: SetUp, machine: FootedMachine): FeetOf => ({
  movable: setUp.feet,
  stationary: setUp.stationaryFeet.length > 0 ? setUp.stationaryFeet : stationaryFeet(machine),
}))
/** Where the register has the feet. */
export const feetByRegister = remember((machine: FootedMachine): FeetOf => ({
  movable: movableFeet(machine),
  stationary: stationaryFeet(machine),
}))

/** The last measurement that says where the axis lies. */
export const lastUsable = (measurements: readonly Measurement[]): Measurement | null => {
  let usable = measurements.length - 1
  while (usable >= 0 && measurements[usable]?.coupling === null) usable--
  return measurements[usable] ?? null
}
