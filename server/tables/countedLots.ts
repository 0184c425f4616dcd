import type { Knex } from 'knex'
import { notFound, Refused } from '../http/refusal'
import { isTaken, personOf } from '../jobs/append'
import { peopleById } from '../jobs/people'

/** What every lot of the stores has, whatever lies in it. */
interface Kept {
  readonly id: string
  readonly counted: number
  readonly countedAt: string
  readonly retired: boolean
  readonly version: number
}

/** A count that rules from now on. */
interface Count {
  readonly id: string
  readonly counted: number
  readonly author: string
  readonly version: number
}

export interface CountRow {
  readonly lot: string
  readonly counted: number
  readonly expected: number
  readonly by: string
  readonly at: Date
}

interface Lots {
  readonly table: string
  /** Where each of its counts stands with what should have lain there. */
  readonly counts: string
  /** What tells lots apart and what is known of them, as columns. */
  readonly columns: readonly string[]
  readonly order: readonly string[]
  /** Of those, what a person typed as words. */
  readonly words: readonly string[]
  readonly says: {
    readonly unknown: string
    readonly changed: string
    readonly idTaken: string
    readonly isThere: string
  }
  /** The box that is told when it lies there already. */
  readonly field: string
}

/** Lots that somebody counted: listed, put in, changed, counted anew with what was expected kept beside it. */
export const countedLots = <
  Lot extends Kept,
  Fresh extends { readonly id: string },
  Change extends { readonly version: number },
>(
  of: Lots,
) => {
  const columns = ['id', ...of.columns, 'counted', 'counted_at', 'low', 'retired', 'version']
  type Row = Omit<Lot, 'countedAt'> & { readonly counted_at: Date }
  const toLot = ({ counted_at: at, ...row }: Row) =>
    ({ ...row, countedAt: at.toISOString() }) as unknown as Lot
  const trimmed = (fields: object) =>
    Object.fromEntries(
      Object.entries(fields).map(([k, v]) => [
        k,
        of.words.includes(k) && typeof v === 'string' ? v.trim() : (v as unknown),
      ]),
    )
  /** One lot, locked until the transaction ends; null for an unknown id. */
  const find = async (trx: Knex, id: string): Promise<Lot | null> => {
    const row = (await trx(of.table).where({ id }).forUpdate().first(columns)) as Row | undefined
    return row ? toLot(row) : null
  }
  /** Adds a lot; throws when it lies there already, false when the id is taken. */
  const insert = async (knex: Knex, lot: Fresh, at: Date): Promise<boolean> => {
    const rows = (await knex(of.table)
      .insert({ ...trimmed(lot), counted_at: at })
      .onConflict('id')
      .ignore()
      .returning('id')) as unknown[]
    return rows.length > 0
  }
  const idTaken = () =>
    new Refused(409, 'id-taken', of.says.idTaken, { issues: [{ path: 'id', message: of.says.idTaken }] })
  /** What lies there already is a refusal in words. */
  const once = async <T>(path: string, work: () => Promise<T>): Promise<T> => {
    try {
      return await work()
    } catch (failure) {
      if (!isTaken(failure)) throw failure
      throw new Refused(409, 'lot-is-there', of.says.isThere, {
        issues: [{ path, message: of.says.isThere }],
      })
    }
  }
  const stale = (current: Lot) => new Refused(409, 'stale', of.says.changed, { current })

  return {
    insert,
    /** Those that are kept. */
    list: async (knex: Knex): Promise<readonly Lot[]> =>
      (
        (await knex(of.table)
          .select(columns)
          .where({ retired: false })
          .orderBy([...of.order, 'id'])) as Row[]
      ).map(toLot),
    /** Puts a lot into the stores; 409 when it lies there already. */
    add: async (knex: Knex, lot: Fresh): Promise<{ readonly id: string }> => {
      if (!(await once(of.field, () => insert(knex, lot, new Date())))) throw idTaken()
      return { id: lot.id }
    },
    /** Changes what may change of a lot or takes it out of use; 409 with the current one when the version is stale. */
    change: async (knex: Knex, id: string, change: Change): Promise<{ readonly id: string }> => {
      const { version, ...fields } = change
      await once('place', () =>
        knex.transaction(async (trx) => {
          const current = await find(trx, id)
          if (!current) throw notFound(of.says.unknown)
          if (current.version !== version) throw stale(current)
          await trx(of.table)
            .where({ id, version })
            .update({ ...trimmed(fields), version: version + 1 })
        }),
      )
      return { id }
    },
    /**
     * A count rules from now on; what the stores should have held (`expected`) is kept beside it. The same one twice is
     * harmless.
     */
    count: async (
      knex: Knex,
      id: string,
      count: Count,
      expected: (trx: Knex) => Promise<number | undefined>,
    ): Promise<{ readonly id: string }> => {
      personOf(await peopleById(knex), count.author, 'author')
      await knex.transaction(async (trx) => {
        const current = await find(trx, id)
        if (!current || current.retired) throw notFound(of.says.unknown)
        const { version, ...rest } = count
        if (current.version !== version) {
          if (await trx(of.counts).where({ id: count.id }).first('id')) return
          throw stale(current)
        }
        const at = new Date()
        const written = (await trx(of.counts)
          .insert({ ...rest, lot: id, expected: (await expected(trx)) ?? current.counted, counted_at: at })
          .onConflict('id')
          .ignore()
          .returning('id')) as unknown[]
        if (written.length === 0) throw idTaken()
        await trx(of.table)
          .where({ id })
          .update({ counted: count.counted, counted_at: at, version: trx.raw('version + 1') })
      })
      return { id }
    },
    /** The last count of each lot that was counted by somebody. */
    lastCounts: async (knex: Knex): Promise<ReadonlyMap<string, CountRow>> => {
      const { rows } = (await knex.raw(
        `select distinct on (c.lot) c.lot, c.counted, c.expected, p.name as by, c.counted_at as at
         from ?? c join people p on p.id = c.author order by c.lot, c.counted_at desc`,
        [of.counts],
      )) as { rows: CountRow[] }
      return new Map(rows.map((r) => [r.lot, r]))
    },
  }
}

/** The last count as it is answered; null while nobody has counted since a lot was put in. */
export const countAnswer = (row: CountRow | undefined) =>
  row ? { counted: row.counted, expected: row.expected, by: row.by, at: row.at.toISOString() } : null
