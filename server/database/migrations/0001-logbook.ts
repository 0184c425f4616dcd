import type { Knex } from 'knex'

/** The register, the stock and the job logbook. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('works', (t) => {
    t.integer('id').primary()
    t.text('name').notNullable()
    t.integer('pack_limit').notNullable()
    t.check('id = 1', [], 'works_is_one_row')
  })
  await knex.schema.createTable('people', (t) => {
    t.uuid('id').primary()
    t.text('name').notNullable()
    t.text('role').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('shim_stock', (t) => {
    t.text('units').notNullable()
    t.double('thickness').notNullable()
    t.integer('count').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.primary(['units', 'thickness'])
  })
  await knex.schema.createTable('machines', (t) => {
    t.uuid('id').primary()
    t.text('tag').notNullable().unique()
    t.text('name').notNullable()
    t.text('area').notNullable()
    t.jsonb('record').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.timestamp('updated_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.schema.createTable('jobs', (t) => {
    t.uuid('id').primary()
    t.uuid('machine_id').notNullable().references('machines.id').index()
    t.jsonb('machine').notNullable()
    t.timestamp('opened_at').notNullable()
    t.timestamp('closed_at')
    t.timestamp('updated_at').notNullable()
    t.uuid('last_author').notNullable().references('people.id')
    t.text('stage').notNullable()
    t.text('verdict').notNullable()
    t.integer('rounds').notNullable()
    t.integer('entry_count').notNullable()
    t.jsonb('as_found')
    t.jsonb('as_left')
    t.index(['closed_at', 'updated_at'])
  })
  await knex.schema.createTable('entries', (t) => {
    t.uuid('id').primary()
    t.uuid('job_id').notNullable().references('jobs.id')
    t.integer('seq').notNullable()
    t.text('kind').notNullable()
    t.jsonb('payload').notNullable()
    t.uuid('author').notNullable().references('people.id')
    t.timestamp('made_at').notNullable()
    t.timestamp('received_at').notNullable()
    t.uuid('supersedes').references('entries.id').unique()
    t.text('supersede_reason')
    t.unique(['job_id', 'seq'])
  })
  // The logbook is append-only; the database holds to it even when a programmer forgets.
  await knex.raw(`
    create function entries_are_final() returns trigger language plpgsql as $$
    begin
      raise exception 'entries are never changed or deleted';
    end $$;
    create trigger entries_are_final before update or delete on entries
      for each row execute function entries_are_final();
  `)
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('entries')
  await knex.raw('drop function entries_are_final()')
  await knex.schema.dropTable('jobs')
  await knex.schema.dropTable('machines')
  await knex.schema.dropTable('shim_stock')
  await knex.schema.dropTable('people')
  await knex.schema.dropTable('works')
}
