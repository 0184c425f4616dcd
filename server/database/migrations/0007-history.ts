import type { Knex } from 'knex'

/** Where the target stood in a judged figure, so that a machine's page can draw each job against its own day's. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('job_figures', (t) => {
    t.double('aim').notNullable().defaultTo(0)
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('job_figures', (t) => t.dropColumn('aim'))
}
