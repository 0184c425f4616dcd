import type { TrainState } from '../../jobs/train'
import type { PlanFoot } from '../../plan/planFoot'
import { shelfOf } from '../../register/shelf'
import type { StockShim } from '../../shims/leafKinds'
import type { Train, TrainCoupling } from '../../train/train'
import type { TrainPlan } from '../../train/trainPlan'
import { fromCore, toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import { planFeet } from '../plan/planning'
import type { EntryPayloads } from '../../logbook/payloads'

/** What a plan of a train starts from. Millimetres; plain data, so that a worker may take it. */
export interface TrainInput {
  readonly train: Train
  readonly stock: readonly StockShim[]
  readonly packLimit: number
  /** Side moves go by what a dial shows. */
  readonly sideStep: Millimetres
}

/** Where the pairs of a machine stand along the train: by the tape of the coupling they were taped from, else by the register. */
const alongTrain = (state: TrainState, id: string): ReadonlyMap<string, Millimetres> => {
  const { machine } = state
  const unit = machine.machines.find((m) => m.id === id)
  const registered = (unit?.feet ?? []).map((f) => [f.id, toCore(f.x, 'distance', machine.units)] as const)
  const at = state.couplings.findIndex(({ part }) => part.roles.movable === id)
  const taped = state.couplings[at]
  const joint = machine.couplings[at]
  if (!taped?.state.setUp || !joint) return new Map(registered)
  const centre = toCore(joint.x, 'distance', machine.units)
  const way = taped.part.mirrored ? -1 : 1
  return new Map([...registered, ...taped.state.setUp.feet.map((f) => [f.id, centre + way * f.x] as const)])
}

/** What a plan starts from: every coupling measured in both planes, the packs and the room as they are now. Null before. */
export const trainInputFor = (state: TrainState): TrainInput | null => {
  const { machine } = state
  const couplings = state.couplings.flatMap(({ part, state: own }, i): TrainCoupling[] => {
    const joint = machine.couplings[i]
    const line = own.latest.coupling
    if (!joint || !line) return []
    if ([line.offset, line.slope].some((vh) => vh.v === null || vh.h === null)) return []
    return [
      {
        id: part.id,
        x: toCore(joint.x, 'distance', machine.units),
        left: machine.machines[i]?.id ?? '',
        right: machine.machines[i + 1]?.id ?? '',
        stationary: joint.stationary,
        coupling: line,
        target: own.target,
        tolerance: own.tolerance,
      },
    ]
  })
  if (couplings.length < machine.couplings.length) return null
  return {
    train: {
      machines: state.machines.map(({ part, state: own, held }) => {
        const along = alongTrain(state, part.id)
        return {
          id: part.id,
          feet: planFeet(own).map((f): PlanFoot => ({
            id: f.id,
            x: along.get(f.id) ?? f.x,
            existing: f.existing,
            maxPack: f.maxPack,
            sidePlus: f.sidePlus,
            sideMinus: f.sideMinus,
            // Whoever frees a machine frees all of it; a pair that is locked by itself stays so.
            locked: held.held || (f.locked === true && held.by !== 'job'),
          })),
        }
      }),
      couplings,
    },
    stock: shelfOf(machine),
    packLimit: machine.packLimit,
    sideStep: Math.max(...state.couplings.map((c) => c.state.setUp?.coarsest ?? 0.01)) || 0.01,
  }
}

/** The worst share of a limit that a plan leaves, 1 at the limit. */
export const worstShare = ({ couplings }: Pick<TrainPlan, 'couplings'>): number =>
  Math.max(...couplings.flatMap((c) => [c.score.v, c.score.h]))

/** Machines that a plan moves. */
export const movedMachines = ({ moves }: Pick<TrainPlan, 'moves'>): readonly string[] => [
  ...new Set(moves.filter((m) => Math.abs(m.v) > 1e-9 || Math.abs(m.h) > 1e-9).map((m) => m.machine)),
]

/** A plan as it is logged, in these units. */
export const chosenTrainPlan = (
  plan: TrainPlan,
  state: TrainState,
  units: UnitSystem,
): EntryPayloads['train-plan-chosen'] => {
  const small = (t: number) => Number(fromCore(t, 'displacement', units).toFixed(units === 'inch' ? 2 : 4))
  return {
    units,
    option: plan.kind,
    changes: plan.moves.flatMap(({ machine, id, packs }) =>
      (['left', 'right'] as const).flatMap((side) => {
        const { takeOut, putIn } = packs[side]
        return takeOut.length + putIn.length === 0
          ? []
          : [{ machine, pair: id, side, takenOut: takeOut.map(small), putIn: putIn.map(small) }]
      }),
    ),
    side: plan.moves.flatMap(({ machine, id, h }) =>
      h === 0 ? [] : [{ machine, pair: id, moved: small(h) }],
    ),
    sets: Object.fromEntries(state.couplings.map(({ part, state: own }) => [part.id, own.latest.used])),
  }
}
