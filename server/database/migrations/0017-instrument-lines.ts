import type { Knex } from 'knex'

/** Instruments that speak for themselves: which stands, or is awaited, at which place of which job. Their samples are kept nowhere. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('instrument_links', (t) => {
    t.uuid('id').primary()
    t.uuid('job_id').notNullable().references('jobs.id')
    t.text('place').notNullable()
    t.uuid('asked_by').notNullable().references('people.id')
    t.timestamp('asked_at').notNullable()
    t.text('code').unique()
    t.timestamp('code_until')
    t.text('key_hash')
    t.jsonb('instrument')
    t.timestamp('bound_at')
    t.timestamp('released_at')
  })
  await knex.raw(
    'create unique index instrument_links_place on instrument_links (job_id, place) where released_at is null',
  )
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('instrument_links')
}
