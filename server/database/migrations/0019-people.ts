import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'

/** People sign in; customers with their sites; a second person beside an entry; who did what. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('customers', (t) => {
    t.uuid('id').primary()
    t.text('name').notNullable()
    t.boolean('names_left_out').notNullable().defaultTo(false)
    t.boolean('retired').notNullable().defaultTo(false)
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('sites', (t) => {
    t.uuid('id').primary()
    t.uuid('customer').notNullable().references('customers.id').index()
    t.text('name').notNullable()
    t.integer('place').notNullable()
  })
  await knex.schema.alterTable('machines', (t) => t.uuid('site').references('sites.id').index())
  await knex.schema.alterTable('people', (t) => {
    t.text('secret')
    t.boolean('secret_once').notNullable().defaultTo(false)
    // A device on which somebody has shown their PIN is believed as long as this stays the same.
    t.integer('epoch').notNullable().defaultTo(1)
    t.boolean('retired').notNullable().defaultTo(false)
    t.uuid('customer').references('customers.id')
    t.integer('wrong').notNullable().defaultTo(0)
    t.timestamp('wait_until')
  })
  await knex.schema.alterTable('entries', (t) => t.uuid('second').references('people.id'))
  await knex.schema.alterTable('works', (t) => t.jsonb('sign_in_note'))
  // PINs of second persons that were shown for one act.
  await knex.schema.createTable('seconds', (t) => {
    t.uuid('act').notNullable()
    t.uuid('person').notNullable().references('people.id')
    t.text('what').notNullable()
    t.timestamp('at').notNullable().defaultTo(knex.fn.now())
    t.timestamp('used_at')
    t.primary(['act', 'person'])
  })
  await knex.schema.createTable('keys', (t) => {
    t.text('name').primary()
    t.text('key').notNullable()
  })
  await knex('keys').insert({ name: 'session', key: randomBytes(32).toString('base64url') })
  await knex.raw(`
    create table deeds (
      id uuid primary key default gen_random_uuid(),
      at timestamptz not null default now(),
      person uuid references people(id),
      second uuid references people(id),
      name text not null,
      deed text not null,
      about text not null,
      words tsvector not null generated always as (to_tsvector('simple', name || ' ' || about)) stored
    );
    create index deeds_at on deeds (at desc, id desc);
    create index deeds_words on deeds using gin (words);
    create function deeds_are_final() returns trigger language plpgsql as $$
    begin
      raise exception 'what was done is never changed or deleted';
    end $$;
    create trigger deeds_are_final before update or delete on deeds
      for each row execute function deeds_are_final();
  `)
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('deeds')
  await knex.raw('drop function deeds_are_final()')
  await knex.schema.dropTable('keys')
  await knex.schema.dropTable('seconds')
  await knex.schema.alterTable('works', (t) => t.dropColumn('sign_in_note'))
  await knex.schema.alterTable('entries', (t) => t.dropColumn('second'))
  await knex.schema.alterTable('people', (t) => {
    t.dropColumns('secret', 'secret_once', 'epoch', 'retired', 'customer', 'wrong', 'wait_until')
  })
  await knex.schema.alterTable('machines', (t) => t.dropColumn('site'))
  await knex.schema.dropTable('sites')
  await knex.schema.dropTable('customers')
}
