import type { Knex } from 'knex'
import { notFound, Refused } from '../http/refusal'

/** Tables that people write, of which one holds for each name: the others are kept aside. Whole records in one column. */
interface Kept<Fields> {
  readonly table: string
  /** The column that says which one holds. */
  readonly flag: 'in_force' | 'in_use'
  readonly holds: (fields: Fields) => boolean
  /** What stands in the database, read through its schema. */
  readonly fieldsOf: (record: object, holds: boolean) => Fields
  /** The record as it is kept, and the columns it is told apart by. */
  readonly columnsOf: (fields: Fields) => {
    readonly record: object
    readonly names: Readonly<Record<string, string>>
  }
  /** In which order they are listed, behind those that hold. */
  readonly order: readonly { readonly column: string; readonly order?: 'desc' }[]
  readonly words: { readonly idTaken: string; readonly changed: string; readonly unknown: string }
}

interface Row {
  readonly id: string
  readonly record: object
  readonly holds: boolean
  readonly version: number
}

type Stored<Fields> = Fields & { readonly id: string; readonly version: number }

/** Lists, adds and changes such tables. Names are the same whatever their capitals. */
export const keptTables = <Fields>(of: Kept<Fields>) => {
  const stored = ({ id, record, holds, version }: Row): Stored<Fields> => ({
    ...of.fieldsOf(record, holds),
    id,
    version,
  })
  const rows = (knex: Knex) => knex(of.table).select('id', 'record', `${of.flag} as holds`, 'version')
  const written = (fields: Fields) => {
    const { record, names } = of.columnsOf(fields)
    return { ...names, [of.flag]: of.holds(fields), record: JSON.stringify(record) }
  }
  /** Takes the one that held there out of it, whoever it is but `id`. */
  const makeWay = async (trx: Knex, fields: Fields, id: string): Promise<void> => {
    if (!of.holds(fields)) return
    const query = trx(of.table)
      .where({ [of.flag]: true })
      .whereNot({ id })
    for (const [column, name] of Object.entries(of.columnsOf(fields).names))
      void query.whereRaw('lower(??) = lower(?)', [column, name])
    await query.update({ [of.flag]: false, version: trx.raw('version + 1'), updated_at: trx.fn.now() })
  }
  /** Adds one; false when its id is taken. */
  const insert = async (trx: Knex, id: string, fields: Fields): Promise<boolean> => {
    const added = (await trx(of.table)
      .insert({ id, ...written(fields) })
      .onConflict('id')
      .ignore()
      .returning('id')) as unknown[]
    return added.length > 0
  }
  return {
    /** All of them, those that hold first. */
    list: async (knex: Knex): Promise<readonly Stored<Fields>[]> =>
      ((await rows(knex).orderBy([{ column: of.flag, order: 'desc' }, ...of.order])) as Row[]).map(stored),
    /** Those that jobs are opened with. */
    holding: async (knex: Knex): Promise<readonly Stored<Fields>[]> =>
      ((await rows(knex).where({ [of.flag]: true })) as Row[]).map(stored),
    insert,
    /** Adds one; where it holds it takes the place of the one before it. 409 when the id is taken. */
    add: async (knex: Knex, given: Fields & { readonly id: string }): Promise<Stored<Fields>> => {
      const { id, ...rest } = given
      const fields = rest as unknown as Fields
      return knex.transaction(async (trx) => {
        await makeWay(trx, fields, id)
        if (!(await insert(trx, id, fields)))
          throw new Refused(409, 'id-taken', of.words.idTaken, {
            issues: [{ path: 'id', message: of.words.idTaken }],
          })
        return { ...fields, id, version: 1 }
      })
    },
    /** Changes one; 409 with the current one when the version is stale, 404 for an unknown id. */
    change: async (
      knex: Knex,
      id: string,
      change: Fields & { readonly version: number },
    ): Promise<Stored<Fields>> => {
      const { version, ...rest } = change
      const fields = rest as unknown as Fields
      return knex.transaction(async (trx) => {
        const row = (await rows(trx).where({ id }).forUpdate().first()) as Row | undefined
        if (!row) throw notFound(of.words.unknown)
        const current = stored(row)
        if (row.version !== version) throw new Refused(409, 'stale', of.words.changed, { current })
        await makeWay(trx, fields, id)
        await trx(of.table)
          .where({ id, version })
          .update({ ...written(fields), version: version + 1, updated_at: trx.fn.now() })
        return { ...fields, id, version: version + 1 }
      })
    },
  }
}
