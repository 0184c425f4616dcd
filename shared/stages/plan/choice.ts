import { lineOfMoves } from '../../../core/coupling/feet'
import { ALIGNED, lineSum, type Misalignment, type Plane } from '../../../core/frame/planes'
import { keyOfPair, type MachineRole } from '../../../core/plan/pairNames'
import {
  reachableLifts,
  shiftOfMoves,
  type Lift,
  type MovePlan,
  type PlanInput,
  type PlannedMove,
} from '../../../core/plan/movePlan'
import type { WhichMoves } from '../../../core/stages/plan/planning'
import type { PlanRecord } from '../../../core/stages/plan/plans'
import type { Millimetres } from '../../../core/units/unitSystem'

/** A foot pair of either machine in a plan: how far it goes up and toward 3. Called by `keyOfPair`. */
export interface PlannedFoot {
  readonly machine: MachineRole
  readonly id: string
  readonly x: Millimetres
  readonly v: Millimetres
  readonly h: Millimetres
}

export type PlanOption = MovePlan['kind'] | 'own' | 'nothing'

/** The plan in hand: one that was offered, one made by dragging, or none. */
export interface PlanChoice {
  readonly option: PlanOption
  readonly feet: readonly PlannedFoot[]
}

export const choiceOf = (plan: MovePlan): PlanChoice => ({
  option: plan.kind,
  feet: plan.moves.map(({ machine, id, x, v, h }) => ({ machine, id, x, v, h })),
})

export const doNothing = ({ feet }: PlanInput): PlanChoice => ({
  option: 'nothing',
  feet: feet.map(({ machine = 'movable', id, x }) => ({ machine, id, x, v: 0, h: 0 })),
})

/** What the board opens with: the plan already taken, else nothing when in band, else the one worth doing. */
export const firstChoice = (
  input: PlanInput,
  given: {
    readonly taken: PlanRecord | null
    readonly inBand: boolean
    readonly worthwhile: MovePlan | null
  },
): PlanChoice => {
  const { taken, inBand, worthwhile } = given
  if (taken && !taken.stale)
    return {
      option: taken.entry.payload.option,
      feet: doNothing(input).feet.map((f) => {
        const made = taken.footwork.moves.find((m) => keyOfPair(m) === keyOfPair(f))
        return made ? { ...f, v: made.v, h: made.h } : f
      }),
    }
  return inBand || !worthwhile ? doNothing(input) : choiceOf(worthwhile)
}

/** Which machine a plan moves. */
export const movedBy = ({ moves }: Pick<PlanRecord['footwork'], 'moves'>): WhichMoves => {
  const moved = (role: MachineRole) =>
    moves.some((m) => m.machine === role && (Math.abs(m.v) > 1e-9 || Math.abs(m.h) > 1e-9))
  return !moved('stationary') ? 'movable' : moved('movable') ? 'both' : 'stationary'
}

/** The lifts that real shims make at each foot pair, lowest first. */
export type ShimLifts = ReadonlyMap<string, readonly Lift[]>

/** An exact search; not for every digit. */
export const shimLifts = ({ feet, stock, packLimit }: PlanInput): ShimLifts =>
  new Map(feet.map((f) => [keyOfPair(f), [...reachableLifts(f, stock, packLimit)].sort((a, b) => a.v - b.v)]))

/** Side moves go by what a dial shows. */
const sideStepOf = (input: PlanInput): Millimetres => input.sideStep || 0.01

/** The nearest that can be done to what was dragged: real shims upward, graduations inside the room sideways. */
export const nearestMove = (
  input: PlanInput,
  lifts: ShimLifts,
  foot: string,
  plane: Plane,
  wanted: Millimetres,
): Millimetres => {
  const limits = input.feet.find((f) => keyOfPair(f) === foot)
  if (!limits) return wanted
  if (plane === 'v')
    return (lifts.get(foot) ?? []).reduce(
      (best, l) => (Math.abs(l.v - wanted) < Math.abs(best - wanted) ? l.v : best),
      0,
    )
  const step = sideStepOf(input)
  const [least, most] = limits.locked ? [0, 0] : [-limits.sideMinus, limits.sidePlus]
  // Rounded toward zero at the end of the room: a step beyond it is not there.
  const steps = Math.round(wanted / step)
  const inside = Math.min(Math.floor(most / step + 1e-9), Math.max(Math.ceil(least / step - 1e-9), steps))
  return inside * step || 0
}

/** One step up or down from where a foot stands in the plan: the next real shim, or one graduation. */
export const steppedMove = (
  input: PlanInput,
  lifts: ShimLifts,
  now: Millimetres,
  foot: string,
  plane: Plane,
  by: 1 | -1,
): Millimetres => {
  if (plane === 'h') return nearestMove(input, lifts, foot, plane, now + by * sideStepOf(input))
  const list = lifts.get(foot) ?? []
  const beyond = list.filter((l) => (by === 1 ? l.v > now + 1e-9 : l.v < now - 1e-9))
  return (by === 1 ? beyond[0] : beyond[beyond.length - 1])?.v ?? now
}

/** The plan with one foot dragged elsewhere: from then on it is the millwright's own. */
export const withMove = (choice: PlanChoice, foot: string, plane: Plane, value: Millimetres): PlanChoice => ({
  option: 'own',
  feet: choice.feet.map((f) => (keyOfPair(f) === foot ? { ...f, [plane]: value } : f)),
})

/** Where a plan leads: the movable axis against the stationary one. */
export const predictedLine = ({ coupling }: PlanInput, { feet }: PlanChoice): Misalignment =>
  lineSum(coupling, shiftOfMoves(feet))

/** Where each axis lies after a plan, from where the stationary one lies now: what is drawn. */
export const plannedAxes = (
  { coupling }: PlanInput,
  { feet }: PlanChoice,
): { readonly movable: Misalignment; readonly stationary: Misalignment } => {
  const shift = (role: MachineRole) => {
    const own = feet.filter((f) => f.machine === role)
    return own.length > 1 ? lineOfMoves(own) : ALIGNED
  }
  return { movable: lineSum(coupling, shift('movable')), stationary: shift('stationary') }
}

/** The shims of each foot; null when a lift of the plan can't be made from what there is. */
export const packedMoves = ({ feet }: PlanChoice, lifts: ShimLifts): readonly PlannedMove[] | null => {
  const moves = feet.map((f): PlannedMove | null => {
    const lift = (lifts.get(keyOfPair(f)) ?? []).find((l) => Math.abs(l.v - f.v) < 1e-9)
    return lift ? { ...f, packs: lift.packs } : null
  })
  return moves.every((m) => m !== null) ? moves : null
}

export const movesVertically = ({ feet }: PlanChoice): boolean => feet.some((f) => Math.abs(f.v) > 1e-9)
export const movesHorizontally = ({ feet }: PlanChoice): boolean => feet.some((f) => Math.abs(f.h) > 1e-9)
