import type { Knex } from 'knex'

/** The works' rules for coming back, when its halls stand, and calendars that are subscribed to. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('works', (t) => {
    t.jsonb('come_back')
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('standstills', (t) => {
    t.uuid('id').primary()
    t.text('area').notNullable()
    t.timestamp('starts_at').notNullable()
    t.timestamp('ends_at').notNullable().index()
    t.text('note').notNullable()
    t.boolean('cancelled').notNullable().defaultTo(false)
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('feeds', (t) => {
    t.uuid('id').primary()
    // Whose returns it holds; of the whole works where nobody's.
    t.uuid('person').references('people.id')
    // The address is shown once and kept nowhere.
    t.binary('secret_sha256').notNullable().unique()
    t.timestamp('made_at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('read_at')
    t.timestamp('revoked_at')
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('feeds')
  await knex.schema.dropTable('standstills')
  await knex.schema.alterTable('works', (t) => t.dropColumns('come_back', 'version'))
}
