import type { StockLeaf } from '../../core/register/shelf'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { ShimStock } from './works'

const sameSize = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** What of the works' stock a machine may have: in its units, of its size or of one that fits any. */
export const stockFor = (
  machine: { readonly units: UnitSystem; readonly shimSize?: string | undefined },
  stock: readonly ShimStock[],
): readonly StockLeaf[] => {
  const size = machine.shimSize ?? ''
  const kinds = new Map<string, StockLeaf>()
  for (const { units, thickness, kind, layer, size: own, count } of stock) {
    if (units !== machine.units || (size !== '' && own !== '' && !sameSize(own, size))) continue
    const key = `${kind} ${String(thickness)} ${String(layer)}`
    const known = kinds.get(key)
    kinds.set(key, {
      thickness,
      count: (known?.count ?? 0) + count,
      ...(kind === 'laminated' && layer !== null ? { kind, layer } : {}),
    })
  }
  return [...kinds.values()].sort((a, b) => a.thickness - b.thickness)
}
