import type { Knex } from 'knex'

/** Tables of limits by speed; one in force for the works, and one for each kind of coupling. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('limit_sets', (t) => {
    t.uuid('id').primary()
    t.text('level').notNullable()
    t.text('coupling').notNullable()
    t.boolean('in_force').notNullable()
    t.jsonb('record').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.raw(
    'create unique index limit_sets_in_force on limit_sets (level, lower(coupling)) where in_force',
  )
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('limit_sets')
}
