import type { Knex } from 'knex'
import type { InstrumentFields, InstrumentRecord } from '../../shared/stores/instrument'

const COLUMNS = ['id', 'name', 'kind', 'due', 'retired', 'version']

/** Instruments in use, by kind and name. */
export const listInstruments = async (knex: Knex): Promise<readonly InstrumentRecord[]> =>
  (await knex('instruments')
    .select(COLUMNS)
    .where({ retired: false })
    .orderBy(['kind', 'name', 'id'])) as InstrumentRecord[]

/** One instrument, locked until the transaction ends; null for an unknown id. */
export const findInstrument = async (trx: Knex, id: string): Promise<InstrumentRecord | null> =>
  ((await trx('instruments').where({ id }).forUpdate().first(COLUMNS)) as InstrumentRecord | undefined) ??
  null

/** Adds an instrument; false when its id is taken. */
export const insertInstrument = async (
  knex: Knex,
  id: string,
  fields: InstrumentFields,
): Promise<boolean> => {
  const rows = (await knex('instruments')
    .insert({ id, ...fields })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

export const updateInstrument = async (
  trx: Knex,
  id: string,
  version: number,
  fields: InstrumentFields,
): Promise<void> => {
  await trx('instruments')
    .where({ id, version })
    .update({ ...fields, version: version + 1 })
}

/** To how many jobs of the last year each instrument was taken along. */
export const instrumentUse = async (knex: Knex): Promise<ReadonlyMap<string, number>> => {
  const { rows } = (await knex.raw(`
    select i->>'id' as id, count(distinct e.job_id)::int as jobs
    from entries e, jsonb_array_elements(e.payload->'instruments') i
    where e.kind = 'tools-taken' and e.received_at > now() - interval '1 year'
    group by 1
  `)) as { rows: { id: string; jobs: number }[] }
  return new Map(rows.map((r) => [r.id, r.jobs]))
}
