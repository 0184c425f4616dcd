import type { Knex } from 'knex'

/** When the belts of a machine will leave their band by what its closed jobs read; written anew at every close. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('belt_forecasts', (t) => {
    t.uuid('machine_id').primary().references('machines.id')
    // The earliest and the likeliest day.
    t.timestamp('earliest').notNullable()
    t.timestamp('leaves_at').notNullable().index()
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('belt_forecasts')
}
