import type { Knex } from 'knex'

/** Shims by kind, size and place with every count that was made; instruments that are out of use. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('shim_lots', (t) => {
    t.uuid('id').primary().defaultTo(knex.raw('gen_random_uuid()'))
    t.text('units').notNullable()
    t.double('thickness').notNullable()
    t.text('kind').notNullable()
    t.double('layer')
    t.text('size').notNullable().defaultTo('')
    t.text('place').notNullable().defaultTo('')
    t.integer('counted').notNullable()
    t.timestamp('counted_at').notNullable().defaultTo(knex.fn.now())
    t.integer('low').notNullable().defaultTo(0)
    t.boolean('retired').notNullable().defaultTo(false)
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.raw(`
    create unique index shim_lots_once on shim_lots
      (units, thickness, kind, coalesce(layer, 0), lower(size), lower(place)) where not retired
  `)
  await knex.schema.createTable('shim_counts', (t) => {
    t.uuid('id').primary()
    t.uuid('lot').notNullable().references('shim_lots.id').index()
    t.integer('counted').notNullable()
    // What the stores should have held then.
    t.integer('expected').notNullable()
    t.uuid('author').notNullable().references('people.id')
    t.timestamp('counted_at').notNullable()
  })
  await knex.raw(`
    insert into shim_lots (units, thickness, kind, counted)
    select units, thickness, 'plain', count from shim_stock
  `)
  await knex.schema.dropTable('shim_stock')
  await knex.raw(`
    create index entries_footwork on entries (received_at)
      where kind in ('foot-filled', 'machine-levelled', 'hubs-roughed', 'move-made')
  `)
  await knex.schema.alterTable('instruments', (t) => {
    t.boolean('retired').notNullable().defaultTo(false)
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('instruments', (t) => t.dropColumn('retired'))
  await knex.raw('drop index entries_footwork')
  await knex.schema.createTable('shim_stock', (t) => {
    t.text('units').notNullable()
    t.double('thickness').notNullable()
    t.integer('count').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.primary(['units', 'thickness'])
  })
  await knex.raw(`
    insert into shim_stock (units, thickness, count)
    select units, thickness, greatest(0, sum(counted)) from shim_lots
    where kind = 'plain' and not retired group by units, thickness
  `)
  await knex.schema.dropTable('shim_counts')
  await knex.schema.dropTable('shim_lots')
}
