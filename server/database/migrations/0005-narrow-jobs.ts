import type { Knex } from 'knex'

/**
 * Every entry updates its job's row. The machine as it was at the opening, the widest of its columns and
 * never changed, lies beside the row, and pages keep room: an update then writes a few hundred bytes into
 * the page it stands in, and no index.
 */
export const up = async (knex: Knex): Promise<void> => {
  await knex.raw('alter table jobs set (toast_tuple_target = 128, fillfactor = 50)')
  await knex.raw('alter table jobs alter column summary set storage main')
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.raw('alter table jobs alter column summary set storage extended')
  await knex.raw('alter table jobs reset (toast_tuple_target, fillfactor)')
}
