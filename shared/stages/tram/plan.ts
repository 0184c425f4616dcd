import type { DrumState } from '../../../core/jobs/drum'
import type { Misalignment, Plane } from '../../../core/frame/planes'
import { lineSum } from '../../../core/frame/planes'
import { packsForLifts, footChangesOf } from '../../../core/shims/packsForLifts'
import { doFootwork } from '../../../core/stages/move/footwork'
import type { FootChange, SideChange } from '../../../core/stages/plan/entries'
import { moveByHand, type ByHand } from '../../../core/stages/tram/byHand'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'

/** What is done in one step: shims, or pushes, never both. In `units`. */
export interface TramMove {
  readonly units: UnitSystem
  readonly changes: readonly FootChange[]
  readonly side: readonly SideChange[]
}

/** The plane of the step in turn; null once both are in, and while nobody knows how it stands. */
export const planeInTurn = ({ tram }: Pick<DrumState, 'tram'>): Plane | null => {
  if (tram.turn === 'drum-runout' || (tram.side === 'unknown' && tram.height === 'unknown')) return null
  return tram.turn === 'height' ? 'v' : 'h'
}

/** A whole plan cut down to the plane whose turn it is. */
export const onlyPlane = (
  plan: { readonly changes: readonly FootChange[]; readonly side: readonly SideChange[] },
  plane: Plane,
  units: UnitSystem,
): TramMove => ({
  units,
  changes: plane === 'v' ? plan.changes : [],
  side: plane === 'h' ? plan.side : [],
})

/** What is asked for while nobody knows where the feet stand, from the leaves on the shelf; null where nothing is. */
export const handMove = (
  state: Pick<DrumState, 'machine' | 'latest' | 'tolerance' | 'packs' | 'setUp'>,
  plane: Plane,
  units: UnitSystem,
): { readonly asked: ByHand; readonly move: TramMove } | null => {
  const { machine, latest, tolerance, packs, setUp } = state
  const pairs = machine.feet.movable.map((f) => f.id)
  const asked = latest.coupling && moveByHand(plane, latest.coupling, tolerance, pairs)
  if (!asked) return null
  const typed = (mm: number) => Number(fromCore(mm, 'displacement', units).toPrecision(10))
  if (plane === 'h') {
    const step = setUp?.coarsest ?? 0
    const round = (mm: number) => (step > 0 ? Math.round(mm / step) * step : mm)
    const side = asked.moves
      .map((m) => ({ machine: 'movable' as const, pair: m.pair, moved: typed(round(m.by)) }))
      .filter((m) => m.moved !== 0)
    return { asked, move: { units, changes: [], side } }
  }
  const leaves = packsForLifts(
    machine,
    packs,
    asked.moves.filter((m) => m.by !== 0).map((m) => ({ pair: m.pair, wanted: m.by })),
  )
  return { asked, move: { units, changes: footChangesOf('movable', leaves, typed), side: [] } }
}

/** Whether a move does anything at all. */
export const movesAnything = ({ changes, side }: TramMove): boolean =>
  changes.some((c) => c.putIn.length + c.takenOut.length > 0) || side.some((s) => s.moved !== 0)

/** Where it ends; null where that hangs on distances nobody knows. */
export const endOf = (
  state: Pick<DrumState, 'packs' | 'feet' | 'latest'>,
  { units, changes, side }: TramMove,
): Misalignment | null => {
  const { change } = doFootwork(state.packs, state.feet, units, changes, side)
  return state.latest.coupling && change ? lineSum(state.latest.coupling, change) : null
}
