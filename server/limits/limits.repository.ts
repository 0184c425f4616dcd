import type { Knex } from 'knex'
import { limitSetFields, type LimitSetFields, type LimitSetRecord } from '../../shared/limits/limitSet'

interface Row {
  readonly id: string
  readonly record: unknown
  readonly in_force: boolean
  readonly version: number
}

const toRecord = ({ id, record, in_force, version }: Row): LimitSetRecord => ({
  ...limitSetFields.parse({ ...(record as object), inForce: in_force }),
  id,
  version,
})
const columnsOf = ({ inForce, ...record }: LimitSetFields) => ({
  level: record.level,
  coupling: record.coupling.trim(),
  in_force: inForce,
  record: JSON.stringify(record),
})
const COLUMNS = ['id', 'record', 'in_force', 'version']

/** All tables of limits: those in force first, the works before its couplings. */
export const listLimitSets = async (knex: Knex): Promise<readonly LimitSetRecord[]> =>
  (
    (await knex('limit_sets')
      .select(COLUMNS)
      .orderBy([
        { column: 'in_force', order: 'desc' },
        { column: 'level', order: 'desc' },
        { column: 'coupling' },
        { column: 'updated_at', order: 'desc' },
      ])) as Row[]
  ).map(toRecord)

/** Those that jobs are opened with. */
export const limitSetsInForce = async (knex: Knex): Promise<readonly LimitSetRecord[]> =>
  ((await knex('limit_sets').select(COLUMNS).where({ in_force: true })) as Row[]).map(toRecord)

/** One table, locked until the transaction ends; null for an unknown id. */
export const findLimitSet = async (trx: Knex, id: string): Promise<LimitSetRecord | null> => {
  const row = (await trx('limit_sets').where({ id }).forUpdate().first(COLUMNS)) as Row | undefined
  return row ? toRecord(row) : null
}

/** Takes the table that was in force there out of force, whoever it is but `id`. */
export const takeOutOfForce = async (
  trx: Knex,
  { level, coupling }: Pick<LimitSetFields, 'level' | 'coupling'>,
  id: string,
): Promise<void> => {
  await trx('limit_sets')
    .where({ level, in_force: true })
    .whereRaw('lower(coupling) = lower(?)', [coupling.trim()])
    .whereNot({ id })
    .update({ in_force: false, version: trx.raw('version + 1'), updated_at: trx.fn.now() })
}

/** Adds a table; false when its id is taken. */
export const insertLimitSet = async (trx: Knex, id: string, set: LimitSetFields): Promise<boolean> => {
  const rows = (await trx('limit_sets')
    .insert({ id, ...columnsOf(set) })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** Writes a table over the one that has `version`. */
export const updateLimitSet = async (
  trx: Knex,
  id: string,
  version: number,
  set: LimitSetFields,
): Promise<void> => {
  await trx('limit_sets')
    .where({ id, version })
    .update({ ...columnsOf(set), version: version + 1, updated_at: trx.fn.now() })
}
