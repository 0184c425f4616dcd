import { remember } from '../logbook/remember'
import type { StockShim } from '../shims/leafKinds'
import { toCore, type UnitSystem } from '../units/unitSystem'

/** Shims that a machine may have, in its own units. */
export interface StockLeaf {
  readonly thickness: number
  readonly count: number
  readonly kind?: 'plain' | 'laminated' | undefined
  /** Layer of a laminated one. */
  readonly layer?: number | undefined
}

interface Stocked {
  readonly units: UnitSystem
  readonly stock: readonly StockLeaf[]
}

/** The shelf of a machine in millimetres, as its job was opened. */
export const shelfOf = remember(({ stock, units }: Stocked): readonly StockShim[] => {
  const mm = (t: number) => toCore(t, 'displacement', units)
  return stock.map(({ thickness, count, kind, layer }) => ({
    thickness: mm(thickness),
    count,
    ...(kind === 'laminated' && layer !== undefined ? { kind, layer: mm(layer) } : {}),
  }))
})
