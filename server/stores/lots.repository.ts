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

/** Whether this count was written already. */
export const isCounted = async (trx: Knex, id: string): Promise<boolean> =>
  (await trx('shim_counts').where({ id }).first('id')) !== undefined

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
  readonly received_at: Date
  readonly supersedes: string | null
  readonly area: string
  readonly size: string | null
}

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
    const work = footworkIn(readBody(kind, version, payload))
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
  const rows = (await knex('entries')
    .join('jobs', 'jobs.id', 'entries.job_id')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .whereIn('entries.kind', [...FOOTWORK_KINDS])
    .where('entries.received_at', '>', since)
    .orderBy('entries.received_at')
    .select(
      'entries.id',
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
  const standing = rows.flatMap((row) => {
    const at = corrected.has(row.id) ? null : began(row)
    return at ? [{ row, at }] : []
  })
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
