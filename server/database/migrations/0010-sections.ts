import type { Knex } from 'knex'

/** What is known of belt sections; one in use of each section and construction. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('belt_sections', (t) => {
    t.uuid('id').primary()
    t.text('section').notNullable()
    t.text('construction').notNullable()
    t.boolean('in_use').notNullable()
    t.jsonb('record').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.raw(
    'create unique index belt_sections_in_use on belt_sections (lower(section), construction) where in_use',
  )
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('belt_sections')
}
