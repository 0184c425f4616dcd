import type { Knex } from 'knex'

/** Entries of a train say which of its couplings or machines they are about. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('entries', (t) => t.text('part'))
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('entries', (t) => t.dropColumn('part'))
}
