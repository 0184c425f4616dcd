import type { Knex } from 'knex'

/** What belt drives are judged by; one in force for each kind of belt, and one for every kind. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('belt_limits', (t) => {
    t.uuid('id').primary()
    t.text('kind').notNullable()
    t.boolean('in_force').notNullable()
    t.jsonb('record').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.raw('create unique index belt_limits_in_force on belt_limits (kind) where in_force')
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('belt_limits')
}
