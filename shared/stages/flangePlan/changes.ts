import type { BoltPacks } from '../../../core/flange/boltPacks'
import type { BoltChange } from '../../../core/stages/flangePlan/entries'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'

/** A thickness in the entry's own units, without the dust of conversion. */
const inUnits = (mm: number, units: UnitSystem) => Number(fromCore(mm, 'displacement', units).toPrecision(10))

/** A school's packs as what is done under each bolt. */
export const changesOfPacks = (packs: BoltPacks, units: UnitSystem): readonly BoltChange[] =>
  packs.packs
    .filter((p) => p.putIn.length > 0)
    .map((p) => ({ bolt: p.id, takenOut: [], putIn: p.putIn.map((t) => inUnits(t, units)) }))

/** A push in the entry's own units. */
export const pushIn = (push: { readonly v: number; readonly h: number }, units: UnitSystem) => ({
  v: inUnits(push.v, units),
  h: inUnits(push.h, units),
})
