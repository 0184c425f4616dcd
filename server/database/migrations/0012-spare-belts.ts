import type { Knex } from 'knex'

/** Spare belts by section, length and place, with every count that was made. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('spare_belts', (t) => {
    t.uuid('id').primary()
    t.text('section').notNullable()
    t.text('construction')
    t.text('units').notNullable()
    t.double('length').notNullable()
    t.integer('together').notNullable()
    t.text('place').notNullable().defaultTo('')
    t.integer('counted').notNullable()
    t.timestamp('counted_at').notNullable()
    t.integer('low').notNullable().defaultTo(0)
    t.boolean('retired').notNullable().defaultTo(false)
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.raw(`
    create unique index spare_belts_once on spare_belts
      (lower(section), coalesce(construction, ''), units, length, together, lower(place)) where not retired
  `)
  await knex.schema.createTable('spare_belt_counts', (t) => {
    t.uuid('id').primary()
    t.uuid('lot').notNullable().references('spare_belts.id').index()
    t.integer('counted').notNullable()
    // What the stores should have held then.
    t.integer('expected').notNullable()
    t.uuid('author').notNullable().references('people.id')
    t.timestamp('counted_at').notNullable()
  })
  await knex.raw(`create index entries_belts on entries (received_at) where kind = 'belts-fitted'`)
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.raw('drop index entries_belts')
  await knex.schema.dropTable('spare_belt_counts')
  await knex.schema.dropTable('spare_belts')
}
