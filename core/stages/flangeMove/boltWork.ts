import { flangeChange, type FlangePush } from '../../flange/flangeMove'
import { flangePlane, type FlangePlane } from '../../flange/flangePlane'
import type { Misalignment } from '../../frame/planes'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { BoltLeaves, FlangeShape } from '../../register/flangeMachine'
import { thicknessKey } from '../../shims/leafKinds'
import { toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import type { BoltChange, PushTold } from '../flangePlan/entries'

/** What a plan or a move does to a flange. Millimetres. */
export interface BoltWork {
  /** Added under each bolt, clockwise from 12. */
  readonly added: readonly Millimetres[]
  /** The plane of what was added; null where no shim is touched. */
  readonly plane: FlangePlane | null
  readonly push: FlangePush | null
  /** How the movable axis shifts against the stationary one. */
  readonly change: Misalignment
  /** Leaves under each bolt after it. */
  readonly leaves: BoltLeaves
  /** Shims said to come out that no pack was known to hold. */
  readonly unknownShims: readonly { readonly bolt: string; readonly thickness: Millimetres }[]
  readonly shimsHandled: number
}

/** Applies shim changes and a push to what lies under the bolts and to the axis. */
export const doBoltWork = (
  before: BoltLeaves,
  shape: FlangeShape,
  units: UnitSystem,
  changes: readonly BoltChange[],
  pushed: PushTold | null,
): BoltWork => {
  const thick = (t: number) => toCore(t, 'displacement', units)
  const unknownShims: { bolt: string; thickness: Millimetres }[] = []
  const added = before.map(() => 0)
  const leaves = before.map((lying, i): readonly Millimetres[] => {
    const pack = [...lying]
    for (const { takenOut, putIn, bolt } of changes.filter((c) => c.bolt === String(i + 1))) {
      for (const out of takenOut.map(thick)) {
        const at = pack.findIndex((t) => thicknessKey(t) === thicknessKey(out))
        if (at < 0) unknownShims.push({ bolt, thickness: out })
        else pack.splice(at, 1)
        added[i] = (added[i] as number) - out
      }
      pack.push(...putIn.map(thick))
      added[i] = putIn.reduce((s, t) => s + thick(t), added[i] as number)
    }
    return pack
  })
  const shimsHandled = changes.reduce((n, c) => n + c.takenOut.length + c.putIn.length, 0)
  const plane = shimsHandled > 0 ? flangePlane(shape.bolts, added) : null
  const still = pushed === null || (pushed.v === 0 && pushed.h === 0)
  const push = still ? null : { v: thick(pushed.v), h: thick(pushed.h) }
  return {
    added,
    plane,
    push,
    change: flangeChange(plane, push, shape.plane),
    leaves,
    unknownShims,
    shimsHandled,
  }
}

/** What a planned or logged move does; worked out once for what lies there and where the flange is. */
export const boltWorkOf = remember(
  (
    entry: LogEntry<'flange-moved' | 'flange-plan-chosen'>,
    leaves: BoltLeaves,
    shape: FlangeShape,
  ): BoltWork => {
    const { units, changes } = entry.payload
    const pushed = 'pushed' in entry.payload ? entry.payload.pushed : entry.payload.push
    return doBoltWork(leaves, shape, units, changes, pushed)
  },
)
