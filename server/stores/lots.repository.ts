import type { Knex } from 'knex'
import { footworkIn, FOOTWORK_KINDS } from '../../core/history/jobHistory'
import { netLeaves, type LeavesFor, type ShimUse } from '../../core/stores/stock'
import type { LotChange, LotRecord, NewLot } from '../../shared/stores/lot'
import { readBody } from '../../shared/logbook/kinds'
import type { UnitSystem } from '../../core/units/unitSystem'

interface LotRow extends Omit<LotRecord, 'countedAt'> {
  readonly counted_at: Date
}

const COLUMNS = [
  'id',
  'units',
  'thickness',
  'kind',
  'layer',
  'size',
  'place',
  'counted',
  'counted_at',
  'low',
  'retired',
  'version',
]
const toLot = ({ counted_at: at, ...row }: LotRow): LotRecord => ({ ...row, countedAt: at.toISOString() })

/** Shims that are kept, thinnest first. */
export const listLots = async (knex: Knex): Promise<readonly LotRecord[]> =>
  (
    (await knex('shim_lots')
      .select(COLUMNS)
      .where({ retired: false })
      .orderBy(['units', 'thickness', 'kind', 'size', 'place', 'id'])) as LotRow[]
  ).map(toLot)

/** One lot, locked until the transaction ends; null for an unknown id. */
export const findLot = async (trx: Knex, id: string): Promise<LotRecord | null> => {
  const row = (await trx('shim_lots').where({ id }).forUpdate().first(COLUMNS)) as LotRow | undefined
  return row ? toLot(row) : null
}

/** Adds shims; throws when they lie there already, false when the id is taken. */
export const insertLot = async (knex: Knex, lot: NewLot, at: Date): Promise<boolean> => {
  const rows = (await knex('shim_lots')
    .insert({ ...lot, size: lot.size.trim(), place: lot.place.trim(), counted_at: at })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** Writes a change over the lot that has this version. */
export const updateLot = async (trx: Knex, id: string, { version, ...change }: LotChange): Promise<void> => {
  await trx('shim_lots')
    .where({ id, version })
    .update({
      ...change,
      size: change.size.trim(),
      place: change.place.trim(),
      version: version + 1,
    })
}

/** Writes a count: the lot's new figure, and a line of its record. False when the count's id is taken. */
export const insertCount = async (
  trx: Knex,
  count: {
    readonly id: string
    readonly lot: string
    readonly counted: number
    readonly expected: number
    readonly author: string
  },
  at: Date,
): Promise<boolean> => {
  const rows = (await trx('shim_counts')
    .insert({ ...count, counted_at: at })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  if (rows.length === 0) return false
  await trx('shim_lots')
    .where({ id: count.lot })
    .update({ counted: count.counted, counted_at: at, version: trx.raw('version + 1') })
  return true
}

export interface CountRow {
  readonly lot: string
  readonly counted: number
  readonly expected: number
  readonly by: string
  readonly at: Date
}

/** The last count of each lot that was counted by somebody. */
export const lastCounts = async (knex: Knex): Promise<ReadonlyMap<string, CountRow>> => {
  const { rows } = (await knex.raw(`
    select distinct on (c.lot) c.lot, c.counted, c.expected, p.name as by, c.counted_at as at
    from shim_counts c join people p on p.id = c.author order by c.lot, c.counted_at desc
  `)) as { rows: CountRow[] }
  return new Map(rows.map((r) => [r.lot, r]))
}

interface UseRow {
  readonly id: string
  readonly kind: string
  readonly version: number
  readonly payload: unknown
  readonly received_at: Date
  readonly supersedes: string | null
  readonly area: string
  readonly size: string | null
}

/**
 * What jobs have put under feet and taken out since a moment. A correction counts at the time of what it
 * corrects: what was counted since has both behind it.
 */
export const usesSince = async (knex: Knex, since: Date): Promise<readonly ShimUse[]> => {
  const rows = (await knex('entries')
    .join('jobs', 'jobs.id', 'entries.job_id')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .whereIn('entries.kind', [...FOOTWORK_KINDS])
    .where('entries.received_at', '>', since)
    .orderBy('entries.received_at')
    .select(
      'entries.id',
      'entries.kind',
      'entries.version',
      'entries.payload',
      'entries.received_at',
      'entries.supersedes',
      'machines.area',
      knex.raw(`machines.record->>'shimSize' as size`),
    )) as UseRow[]
  const byId = new Map(rows.map((r) => [r.id, r]))
  const corrected = new Set(rows.map((r) => r.supersedes))
  /** When the first of a chain of corrections came; null when that was before. */
  const began = (row: UseRow): Date | null => {
    let first = row
    while (first.supersedes !== null) {
      const before = byId.get(first.supersedes)
      if (!before) return null
      first = before
    }
    return first.received_at
  }
  return rows.flatMap((row): readonly ShimUse[] => {
    if (corrected.has(row.id)) return []
    const at = began(row)
    const work = at && footworkIn(readBody(row.kind, row.version, row.payload))
    return at && work
      ? [
          {
            at: at.toISOString(),
            units: work.units,
            area: row.area,
            size: row.size ?? '',
            ...netLeaves(work.changes),
          },
        ]
      : []
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
