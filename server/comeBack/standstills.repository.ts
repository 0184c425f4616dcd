import type { Knex } from 'knex'
import type { StandstillFields, StandstillRecord } from '../../shared/comeBack/standstill'

interface Row {
  readonly id: string
  readonly area: string
  readonly starts_at: Date
  readonly ends_at: Date
  readonly note: string
  readonly cancelled: boolean
  readonly version: number
}

const toRecord = (row: Row): StandstillRecord => ({
  id: row.id,
  area: row.area,
  startsAt: row.starts_at.toISOString(),
  endsAt: row.ends_at.toISOString(),
  note: row.note,
  cancelled: row.cancelled,
  version: row.version,
})
const columnsOf = ({ area, startsAt, endsAt, note, cancelled }: StandstillFields) => ({
  area: area.trim(),
  starts_at: startsAt,
  ends_at: endsAt,
  note,
  cancelled,
})

/** Standstills that are not over by a moment, soonest first, at most so many. */
export const standstillsFrom = async (
  knex: Knex,
  from: Date,
  most: number,
): Promise<readonly StandstillRecord[]> =>
  (
    (await knex('standstills')
      .where('ends_at', '>', from)
      .orderBy(['starts_at', 'area', 'id'])
      .limit(most)) as Row[]
  ).map(toRecord)

/** One standstill, locked until the transaction ends; null for an unknown id. */
export const findStandstill = async (trx: Knex, id: string): Promise<StandstillRecord | null> => {
  const row = (await trx('standstills').where({ id }).forUpdate().first()) as Row | undefined
  return row ? toRecord(row) : null
}

/** Adds a standstill; false when its id is taken. */
export const insertStandstill = async (knex: Knex, id: string, s: StandstillFields): Promise<boolean> => {
  const rows = (await knex('standstills')
    .insert({ id, ...columnsOf(s) })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

export const updateStandstill = async (
  trx: Knex,
  id: string,
  version: number,
  s: StandstillFields,
): Promise<void> => {
  await trx('standstills')
    .where({ id, version })
    .update({ ...columnsOf(s), version: version + 1 })
}
