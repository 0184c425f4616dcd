import { shelfOf } from '../../register/shelf'
import type { MachineRole } from '../../plan/pairNames'
import type { MovePlan, PlanFoot, PlanInput, PlanResult } from '../../plan/movePlan'
import { MACHINE_ROLES, SIDES } from '../../plan/pairNames'
import { planMoves } from '../../plan/movePlan'
import { remember } from '../../logbook/remember'
import type { Misalignment } from '../../frame/planes'
import type { SettledTolerance } from '../../judge/tolerance'
import type { FootedMachine } from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import type { Measurement } from '../measure/measurement'
import type { FeetOf } from '../move/footwork'
import type { MoveRecord } from '../move/moves'
import type { SetUp } from '../setUp/setUp'
import { fromCore, toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import type { FootChange, SideChange } from './entries'

/** What of a job a plan is made from. */
export interface Planned {
  readonly machine: FootedMachine
  readonly setUp: SetUp | null
  readonly feet: FeetOf
  readonly packs: readonly PairPacks[]
  readonly packsBefore: readonly PairPacks[]
  readonly moves: readonly MoveRecord[]
  readonly latest: Measurement
  readonly target: Misalignment
  readonly tolerance: SettledTolerance
}

/** How far a pair has been pushed since it was registered. */
const pushedSoFar = (state: Planned, machine: MachineRole, pair: string): Millimetres =>
  state.moves.reduce(
    (sum, m) => sum + (m.footwork.moves.find((f) => f.machine === machine && f.id === pair)?.h ?? 0),
    0,
  )

/** Which machine a plan may move. */
export type WhichMoves = MachineRole | 'both'

/** The machines that a plan of this kind moves. */
export const rolesOf = (which: WhichMoves): readonly MachineRole[] =>
  which === 'both' ? MACHINE_ROLES : [which]

/** Whether the driven machine can be moved at all: two pairs at least, and not all of them locked. */
export const drivenMoves = ({ feet }: Pick<FootedMachine, 'feet'>): boolean =>
  feet.stationary.length > 1 && feet.stationary.some((f) => !f.locked)

/** The feet of one machine as they stand now: packs, and the room left in the holes. */
export const planFeet = (state: Planned, role: MachineRole = 'movable'): readonly PlanFoot[] => {
  const { machine } = state
  const thick = (t: number) => toCore(t, 'displacement', machine.units)
  return machine.feet[role].map((registered): PlanFoot => {
    const packs = state.packs.find((p) => p.machine === role && p.id === registered.id)?.packs
    // Room in the holes is registered for the machine as it stood; what was moved has used some up.
    const used = pushedSoFar(state, role, registered.id)
    return {
      id: registered.id,
      machine: role,
      x:
        state.feet[role].find((f) => f.id === registered.id)?.x ??
        toCore(registered.x ?? 0, 'distance', machine.units),
      existing: packs ?? { left: [], right: [] },
      maxPack: thick(registered.maxPack),
      sidePlus: Math.max(0, thick(registered.sidePlus) - used),
      sideMinus: Math.max(0, thick(registered.sideMinus) + used),
      locked: registered.locked,
    }
  })
}

/** The feet as they stood before the last move was made: what a correction of it starts from. */
export const feetBeforeLastMove = (state: Planned, role: MachineRole = 'movable'): readonly PlanFoot[] =>
  planFeet({ ...state, moves: state.moves.slice(0, -1), packs: state.packsBefore }, role)

const isWhole = (m: Measurement): boolean =>
  m.coupling !== null && [m.coupling.offset, m.coupling.slope].every((vh) => vh.v !== null && vh.h !== null)

/** What a plan starts from: the latest usable measurement, the packs under the feet, the room left, the stock. Null until both planes are measured. */
export const planInputFor = (state: Planned, which: WhichMoves = 'movable'): PlanInput | null => {
  const { machine, latest, setUp } = state
  // Nobody knows what a lift does at the coupling while the feet stand nobody knows where.
  if (!latest.coupling || !setUp || !isWhole(latest) || state.feet.untaped) return null
  return {
    coupling: latest.coupling,
    target: state.target,
    tolerance: state.tolerance,
    feet: rolesOf(which).flatMap((role) => planFeet(state, role)),
    stock: shelfOf(machine),
    packLimit: machine.packLimit,
    sideStep: setUp.coarsest,
  }
}

/** The plans a job offers now; an exact search of some tens of milliseconds, not for every keystroke. */
export const plansFor = remember((state: Planned): PlanResult | null => {
  const input = planInputFor(state)
  return input && planMoves(input)
})

/** A plan that stays within this share of its limits has room for the scatter of an ordinary move. */
export const COMFORTABLE_SHARE = 0.5
const SAFE_SHARE = 0.8

/**
 * The plan worth doing: of those that leave room in hand, the one that handles the fewest shims,
 * then opens the fewest feet, then comes closest. Handling twenty shims for a hundredth of the limit
 * is not worth an hour at the machine. Null when there is none.
 */
export const worthwhilePlan = (plans: readonly MovePlan[]): MovePlan | null => {
  const share = (p: MovePlan) => Math.max(p.score.v, p.score.h)
  for (const most of [COMFORTABLE_SHARE, SAFE_SHARE, 1]) {
    const enough = plans.filter((p) => share(p) <= most + 1e-9)
    const [best] = [...enough].sort(
      (a, b) => a.shimsHandled - b.shimsHandled || a.pairsOpened - b.pairsOpened || share(a) - share(b),
    )
    if (best) return best
  }
  return plans[0] ?? null
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
              machine: m.machine,
              pair: m.id,
              side,
              takenOut: pack.takeOut.map((t) => asStamped(t, units)),
              putIn: pack.putIn.map((t) => asStamped(t, units)),
            },
          ]
    }),
  ),
  side: plan.moves.flatMap((m): readonly SideChange[] =>
    m.h === 0 ? [] : [{ machine: m.machine, pair: m.id, moved: asStamped(m.h, units) }],
  ),
})
