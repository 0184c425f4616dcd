import type { Knex } from 'knex'

/** Photographs kept with their job, as final as the entries that refer to them. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('photographs', (t) => {
    t.uuid('id').primary()
    t.uuid('job_id').notNullable().references('jobs.id').index()
    t.timestamp('received_at').notNullable().defaultTo(knex.fn.now())
    // What was sent, by its hash: the same one sent again is known by it.
    t.binary('sent_sha256').notNullable()
    t.integer('width').notNullable()
    t.integer('height').notNullable()
    t.binary('jpeg').notNullable()
  })
  // JPEG doesn't shrink any further.
  await knex.raw('alter table photographs alter column jpeg set storage external')
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('photographs')
}
