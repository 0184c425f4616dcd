import type { Knex } from 'knex'
import { LEAF_KINDS, leavesIn } from '../../core/stores/leavesMoved'
import { netLeaves, type LeavesFor, type ShimUse } from '../../core/stores/stock'
import type { LotChange, LotRecord, NewLot } from '../../shared/stores/lot'
import { readBody } from '../../shared/logbook/kinds'
import type { UnitSystem } from '../../core/units/unitSystem'
import { answerWords } from '../../shared/wording/viewWords'
import { countedLots } from '../tables/countedLots'
import { standingSince } from './standing'

/** Shims of one thickness, kind and size at one place, thinnest first. */
export const shimLots = countedLots<LotRecord, NewLot, LotChange>({
  table: 'shim_lots',
  counts: 'shim_counts',
  columns: ['units', 'thickness', 'kind', 'layer', 'size', 'place'],
  order: ['units', 'thickness', 'kind', 'size', 'place'],
  words: ['size', 'place'],
  field: 'thickness',
  says: {
    unknown: answerWords.noLot,
    changed: answerWords.lotChanged,
    idTaken: answerWords.lotIdTaken,
    isThere: answerWords.lotIsThere,
  },
})

type Footwork = Pick<ShimUse, 'units' | 'taken' | 'back'>

/** What each entry took and brought back, as far as it was read before: entries are final. */
const known = new Map<string, Footwork | null>()
const MOST_KNOWN = 50_000

/** What entries took and brought back, by their ids; those that were read before are not fetched again. */
const footworkOf = async (
  knex: Knex,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Footwork | null>> => {
  const found = new Map(ids.flatMap((id) => (known.has(id) ? [[id, known.get(id) ?? null] as const] : [])))
  const fresh = ids.filter((id) => !found.has(id))
  if (fresh.length === 0) return found
  const rows = (await knex('entries')
    .whereRaw('id = any(?::uuid[])', [fresh])
    .select('id', 'kind', 'version', 'payload')) as {
    id: string
    kind: string
    version: number
    payload: unknown
  }[]
  if (known.size + rows.length > MOST_KNOWN) known.clear()
  for (const { id, kind, version, payload } of rows) {
    const work = leavesIn(readBody(kind, version, payload))
    const net = work && { units: work.units, ...netLeaves(work.changes) }
    found.set(id, net)
    known.set(id, net)
  }
  return found
}

/**
 * What jobs have put under feet and taken out since a moment. A correction counts at the time of what it
 * corrects: what was counted since has both behind it.
 */
export const usesSince = async (knex: Knex, since: Date): Promise<readonly ShimUse[]> => {
  const standing = await standingSince<{ readonly area: string; readonly size: string | null }>(
    knex,
    LEAF_KINDS,
    since,
    ['machines.area', knex.raw(`machines.record->>'shimSize' as size`)],
  )
  const footwork = await footworkOf(
    knex,
    standing.map(({ row }) => row.id),
  )
  return standing.flatMap(({ row, at }): readonly ShimUse[] => {
    const work = footwork.get(row.id)
    return work ? [{ ...work, at: at.toISOString(), area: row.area, size: row.size ?? '' }] : []
  })
}

/** Leaves that a plan of an open job waits for, and whose plan it is. */
export interface PlanWants extends LeavesFor {
  readonly job: string
  readonly tag: string
}

/** What the plans of open jobs have asked for, oldest job first. */
export const plansWant = async (knex: Knex): Promise<readonly PlanWants[]> => {
  const rows = (await knex('jobs')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .whereNull('jobs.closed_at')
    .whereRaw(`jobs.summary->'reserves' is not null`)
    .orderBy('jobs.opened_at')
    .select(
      'jobs.id',
      'machines.tag',
      'machines.area',
      knex.raw(`machines.record->>'shimSize' as size`),
      knex.raw(`machines.record->>'units' as units`),
      knex.raw(`jobs.summary->'reserves' as taken`),
    )) as {
    id: string
    tag: string
    area: string
    size: string | null
    units: UnitSystem
    taken: number[]
  }[]
  return rows.map((r) => ({
    job: r.id,
    tag: r.tag,
    area: r.area,
    size: r.size ?? '',
    units: r.units,
    taken: r.taken,
  }))
}
