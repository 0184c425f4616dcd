import type { Knex } from 'knex'
import type { SpokenFor } from '../../shared/instruments/link'

/** A place of a job as it is kept. */
export interface LinkRow {
  readonly id: string
  readonly jobId: string
  readonly place: string
  readonly code: string | null
  readonly codeUntil: string | null
  readonly instrument: SpokenFor | null
}

interface Row {
  readonly id: string
  readonly job_id: string
  readonly place: string
  readonly code: string | null
  readonly code_until: Date | null
  readonly instrument: SpokenFor | null
}
const COLUMNS = ['id', 'job_id', 'place', 'code', 'code_until', 'instrument']

const fromRow = (row: Row): LinkRow => ({
  id: row.id,
  jobId: row.job_id,
  place: row.place,
  code: row.code,
  codeUntil: row.code_until?.toISOString() ?? null,
  instrument: row.instrument,
})

/** Whether a job is open; null where there is none. */
export const isJobOpen = async (knex: Knex, jobId: string): Promise<boolean | null> => {
  const row = (await knex('jobs').where({ id: jobId }).first('closed_at')) as
    { closed_at: Date | null } | undefined
  return row ? row.closed_at === null : null
}

/** Places of a job that were not released. */
export const listLinks = async (knex: Knex, jobId: string): Promise<readonly LinkRow[]> =>
  (
    (await knex('instrument_links')
      .where({ job_id: jobId, released_at: null })
      .orderBy('place')
      .select(COLUMNS)) as Row[]
  ).map(fromRow)

/** Releases what stood at a place and awaits another there, by this code. */
export const awaitAt = async (
  knex: Knex,
  wanted: {
    readonly id: string
    readonly jobId: string
    readonly place: string
    readonly author: string
    readonly code: string
    readonly until: Date
  },
): Promise<void> => {
  await knex.transaction(async (trx) => {
    await trx('instrument_links')
      .where({ job_id: wanted.jobId, place: wanted.place, released_at: null })
      .update({ released_at: trx.fn.now(), code: null })
    await trx('instrument_links').insert({
      id: wanted.id,
      job_id: wanted.jobId,
      place: wanted.place,
      asked_by: wanted.author,
      asked_at: trx.fn.now(),
      code: wanted.code,
      code_until: wanted.until,
    })
  })
}

/** The place that awaits an instrument under this code; null for a code that is none, or no more. */
export const findByCode = async (knex: Knex, code: string): Promise<LinkRow | null> => {
  const row = (await knex('instrument_links')
    .where({ code, released_at: null })
    .where('code_until', '>', knex.fn.now())
    .first(COLUMNS)) as Row | undefined
  return row ? fromRow(row) : null
}

/** The place of an instrument that comes back with its key; null where it was released. */
export const findByKey = async (knex: Knex, keyHash: string): Promise<LinkRow | null> => {
  const row = (await knex('instrument_links')
    .where({ key_hash: keyHash, released_at: null })
    .first(COLUMNS)) as Row | undefined
  return row ? fromRow(row) : null
}

/**
 * Binds an instrument to the place that awaits it under this code, and releases wherever else it stood. False when
 * the code was used meanwhile. The other jobs it left are answered.
 */
export const bind = async (
  knex: Knex,
  link: LinkRow,
  keyHash: string,
  instrument: SpokenFor,
): Promise<{ readonly bound: boolean; readonly left: readonly string[] }> =>
  knex.transaction(async (trx) => {
    const bound = await trx('instrument_links')
      .where({ id: link.id, code: link.code, released_at: null })
      .update({
        code: null,
        code_until: null,
        key_hash: keyHash,
        instrument: JSON.stringify(instrument),
        bound_at: trx.fn.now(),
      })
    if (bound === 0) return { bound: false, left: [] }
    const left = (await trx('instrument_links')
      .whereNot({ id: link.id })
      .where({ released_at: null })
      .whereRaw("instrument->>'serial' = ? and instrument->>'kind' = ?", [instrument.serial, instrument.kind])
      .update({ released_at: trx.fn.now() })
      .returning('job_id')) as { job_id: string }[]
    return { bound: true, left: left.map((l) => l.job_id) }
  })

/** What an instrument says of itself when it comes back, where that has changed. */
export const describe = async (knex: Knex, id: string, instrument: SpokenFor): Promise<void> => {
  await knex('instrument_links')
    .where({ id })
    .update({ instrument: JSON.stringify(instrument) })
}

/** Releases a place of a job; false where there is none by that id. */
export const release = async (knex: Knex, jobId: string, id: string): Promise<boolean> =>
  (await knex('instrument_links')
    .where({ id, job_id: jobId, released_at: null })
    .update({ released_at: knex.fn.now(), code: null })) > 0

/** Releases every place of a job. */
export const releaseAll = async (knex: Knex, jobId: string): Promise<number> =>
  knex('instrument_links')
    .where({ job_id: jobId, released_at: null })
    .update({ released_at: knex.fn.now(), code: null })

/** Two places of a job change their instruments; false where either has none. */
export const swap = async (knex: Knex, jobId: string, [a, b]: readonly [string, string]): Promise<boolean> =>
  knex.transaction(async (trx) => {
    const rows = (await trx('instrument_links')
      .where({ job_id: jobId, released_at: null })
      .whereIn('place', [a, b])
      .whereNotNull('instrument')
      .forUpdate()
      .select('id', 'place')) as { id: string; place: string }[]
    const [first, second] = rows
    if (!first || !second) return false
    // The place is held once: it is given up before it is taken.
    await trx('instrument_links')
      .where({ id: first.id })
      .update({ place: `${first.place} ` })
    await trx('instrument_links').where({ id: second.id }).update({ place: first.place })
    await trx('instrument_links').where({ id: first.id }).update({ place: second.place })
    return true
  })
