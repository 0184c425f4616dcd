import type { Knex } from 'knex'
import { MACHINE_SCHEMA } from '../../shared/register/lifts'
import { readMachineFields, type MachineFields, type MachineRecord } from '../../shared/register/machine'

interface MachineRow {
  readonly id: string
  readonly record: unknown
  readonly record_schema: number
  readonly version: number
}

const toRecord = (row: MachineRow): MachineRecord => ({
  ...readMachineFields(row.record_schema, row.record),
  id: row.id,
  version: row.version,
})

const COLUMNS = ['id', 'record', 'record_schema', 'version']

/** All machines by tag. */
export const listMachines = async (knex: Knex): Promise<readonly MachineRecord[]> =>
  ((await knex('machines').select(COLUMNS).orderBy('tag')) as MachineRow[]).map(toRecord)

/** A machine by its tag, or null. `lock` holds the row until the transaction ends. */
export const findMachine = async (knex: Knex, tag: string, lock = false): Promise<MachineRecord | null> => {
  const query = knex('machines').whereRaw('lower(tag) = lower(?)', [tag]).first(COLUMNS)
  const row = (await (lock ? query.forUpdate() : query)) as MachineRow | undefined
  return row ? toRecord(row) : null
}

/** A machine by its id, or null. */
export const findMachineById = async (knex: Knex, id: string): Promise<MachineRecord | null> => {
  const row = (await knex('machines').where({ id }).first(COLUMNS)) as MachineRow | undefined
  return row ? toRecord(row) : null
}

/** Adds a machine; false when its id or tag is taken. */
export const insertMachine = async (knex: Knex, id: string, record: MachineFields): Promise<boolean> => {
  const rows = (await knex('machines')
    .insert({
      id,
      tag: record.tag,
      name: record.name,
      area: record.area,
      record: JSON.stringify(record),
      record_schema: MACHINE_SCHEMA,
    })
    .onConflict()
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** Writes a machine if it still has `version`; false when someone was faster. */
export const updateMachine = async (
  knex: Knex,
  id: string,
  version: number,
  record: MachineFields,
): Promise<boolean> =>
  (await knex('machines')
    .where({ id, version })
    .update({
      tag: record.tag,
      name: record.name,
      area: record.area,
      record: JSON.stringify(record),
      record_schema: MACHINE_SCHEMA,
      version: version + 1,
      updated_at: knex.fn.now(),
    })) === 1

/** Where each machine stands that is in service, by its id. */
export const hallsInService = async (knex: Knex): Promise<ReadonlyMap<string, string>> => {
  const rows = (await knex('machines')
    .whereRaw(`coalesce(record->>'retired', 'false') <> 'true'`)
    .select('id', 'area')) as { id: string; area: string }[]
  return new Map(rows.map((r) => [r.id, r.area]))
}

/** Belt drives in service that have a sheave whose groove can be set, by tag. */
export const variableSheaves = async (
  knex: Knex,
): Promise<readonly (MachineRecord & { readonly drive: 'belt' })[]> => {
  const rows = (await knex('machines')
    .whereRaw(`record->>'drive' = 'belt' and coalesce(record->>'retired', 'false') <> 'true'`)
    .whereRaw(
      `'variable' in (record->'sheaves'->'motor'->'build'->>'kind', record->'sheaves'->'driven'->'build'->>'kind')`,
    )
    .select(COLUMNS)
    .orderBy('tag')) as MachineRow[]
  return rows.map(toRecord).filter((m) => m.drive === 'belt')
}
