import type { Knex } from 'knex'
import type { EntryKind } from '../../core/logbook/entry'

interface Row {
  readonly id: string
  readonly received_at: Date
  readonly supersedes: string | null
}

/**
 * Entries of these kinds that stand, since a moment, each as of when the first of its corrections came: what was counted
 * since has both behind it. With the columns asked for, of entries, jobs and machines.
 */
export const standingSince = async <Extra extends object>(
  knex: Knex,
  kinds: readonly EntryKind[],
  since: Date,
  columns: readonly (string | Knex.Raw)[],
): Promise<readonly { readonly row: Row & Extra; readonly at: Date }[]> => {
  const rows = (await knex('entries')
    .join('jobs', 'jobs.id', 'entries.job_id')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .whereIn('entries.kind', [...kinds])
    .where('entries.received_at', '>', since)
    .orderBy('entries.received_at')
    .select('entries.id', 'entries.received_at', 'entries.supersedes', ...columns)) as (Row & Extra)[]
  const byId = new Map(rows.map((r) => [r.id, r]))
  const corrected = new Set(rows.map((r) => r.supersedes))
  /** When the first of a chain of corrections came; null when that was before. */
  const began = (row: Row): Date | null => {
    let first = row
    while (first.supersedes !== null) {
      const before = byId.get(first.supersedes)
      if (!before) return null
      first = before
    }
    return first.received_at
  }
  return rows.flatMap((row) => {
    const at = corrected.has(row.id) ? null : began(row)
    return at ? [{ row, at }] : []
  })
}
