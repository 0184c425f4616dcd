import type { Knex } from 'knex'
import { stockNow, type LotStock } from '../../core/stores/stock'
import type { ShimStock } from '../../shared/register/works'
import type { LotRecord } from '../../shared/stores/lot'
import { plansWant, shimLots, usesSince, type PlanWants } from './lots.repository'

/** The stores as they stand: every lot with what is left and what is free, and which plans want what. */
export const storesNow = async (
  knex: Knex,
): Promise<{
  readonly stock: readonly (LotStock & { readonly lot: LotRecord })[]
  readonly wants: readonly PlanWants[]
}> => {
  const lots = await shimLots.list(knex)
  const oldest = lots.reduce((t, l) => Math.min(t, Date.parse(l.countedAt)), Date.now())
  const uses = await usesSince(knex, new Date(oldest))
  const wants = await plansWant(knex)
  const byId = new Map(lots.map((l) => [l.id, l]))
  return {
    stock: stockNow(lots, uses, wants).map((s) => ({ ...s, lot: byId.get(s.lot.id) as LotRecord })),
    wants,
  }
}

/** What a new plan may have, by thickness, kind and size. */
export const freeStock = async (knex: Knex): Promise<readonly ShimStock[]> =>
  (await storesNow(knex)).stock.map(({ lot, free }) => ({
    units: lot.units,
    thickness: lot.thickness,
    kind: lot.kind,
    layer: lot.layer,
    size: lot.size,
    count: free,
  }))
