import {
  planMoves,
  SIDES,
  type MovePlan,
  type PlanFoot,
  type PlanInput,
  type PlanResult,
} from '../plan/movePlan'
import type { CoupledMachine } from '../register/machine'
import { fromCore, toCore, type UnitSystem } from '../units/unitSystem'
import type { FootChange, SideChange } from './entry'
import type { JobState } from './foldJob'

/** What a plan starts from: the latest usable measurement, the packs under the feet, the room left, the stock. Null until both planes are measured. */
export const planInputFor = (machine: CoupledMachine, state: JobState): PlanInput | null => {
  const coupling = state.latest.coupling
  const { setUp } = state
  if (!coupling || !setUp) return null
  if ([coupling.offset, coupling.slope].some((vh) => vh.v === null || vh.h === null)) return null
  const thick = (t: number) => toCore(t, 'displacement', machine.units)
  const feet = machine.feet.map((registered): PlanFoot => {
    const packs = state.packs.find((p) => p.id === registered.id)?.packs
    return {
      id: registered.id,
      x: setUp.feet.find((f) => f.id === registered.id)?.x ?? toCore(registered.x, 'distance', machine.units),
      existing: packs ?? { left: [], right: [] },
      maxPack: thick(registered.maxPack),
      sidePlus: thick(registered.sidePlus),
      sideMinus: thick(registered.sideMinus),
      locked: registered.locked,
    }
  })
  const [inboard, outboard] = feet
  if (!inboard || !outboard) return null
  const used = state.moves.reduce(
    (sum, m) => ({
      [inboard.id]: (sum[inboard.id] ?? 0) + (m.footwork.moves.find((f) => f.id === inboard.id)?.h ?? 0),
      [outboard.id]: (sum[outboard.id] ?? 0) + (m.footwork.moves.find((f) => f.id === outboard.id)?.h ?? 0),
    }),
    {} as Record<string, number>,
  )
  // Room in the holes is registered for the machine as it stood; what was moved has used some up.
  const withRoomLeft = (f: PlanFoot): PlanFoot => ({
    ...f,
    sidePlus: Math.max(0, f.sidePlus - (used[f.id] ?? 0)),
    sideMinus: Math.max(0, f.sideMinus + (used[f.id] ?? 0)),
  })
  return {
    coupling,
    target: state.target,
    tolerance: state.tolerance,
    feet: feet.map(withRoomLeft),
    stock: machine.stock.map((s) => ({ thickness: thick(s.thickness), count: s.count })),
    packLimit: machine.packLimit,
    sideStep: setUp.graduation.rim,
  }
}

/** The plans a job offers now; an exact search of some tens of milliseconds, not for every keystroke. */
export const plansFor = (machine: CoupledMachine, state: JobState): PlanResult | null => {
  const input = planInputFor(machine, state)
  return input && planMoves(input)
}

/** Twelve digits: what a shim's stamped thickness survives the way to millimetres and back with. */
const asStamped = (t: number, units: UnitSystem): number =>
  Number(fromCore(t, 'displacement', units).toPrecision(12))

/** A plan as shim changes foot by foot and side moves, in contract units. */
export const planChanges = (
  plan: Pick<MovePlan, 'moves'>,
  units: UnitSystem,
): { readonly changes: readonly FootChange[]; readonly side: readonly SideChange[] } => ({
  changes: plan.moves.flatMap((m) =>
    SIDES.flatMap((side): readonly FootChange[] => {
      const pack = m.packs[side]
      return pack.changes === 0
        ? []
        : [
            {
              pair: m.id,
              side,
              takenOut: pack.takeOut.map((t) => asStamped(t, units)),
              putIn: pack.putIn.map((t) => asStamped(t, units)),
            },
          ]
    }),
  ),
  side: plan.moves.flatMap((m): readonly SideChange[] =>
    m.h === 0 ? [] : [{ pair: m.id, moved: asStamped(m.h, units) }],
  ),
})
