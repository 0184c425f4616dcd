import type { Knex } from 'knex'

/**
 * Versions beside stored payloads and records, kinds of job, projections that need no column a kind,
 * the works' words for feet, tags that differ by more than capitals, and the indexes lists ask for.
 */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.alterTable('works', (t) => {
    t.text('foot_words').notNullable().defaultTo('inboard-outboard')
  })
  await knex.schema.alterTable('entries', (t) => {
    t.integer('version').notNullable().defaultTo(1)
    t.uuid('after_entry')
    t.uuid('before_entry')
  })
  await knex.schema.alterTable('machines', (t) => {
    t.integer('record_schema').notNullable().defaultTo(1)
  })
  // Two machines whose tags differ by capitals alone were possible: the later one is told apart by a number.
  await knex.raw(`
    with twins as (
      select id, row_number() over (partition by lower(tag) order by updated_at, id) as nth from machines
    )
    update machines m set
      tag = m.tag || '-' || t.nth,
      record = jsonb_set(m.record, '{tag}', to_jsonb(m.tag || '-' || t.nth))
    from twins t where t.id = m.id and t.nth > 1
  `)
  await knex.raw('create unique index machines_tag_any_case on machines (lower(tag))')
  await knex.schema.alterTable('jobs', (t) => {
    t.text('kind').notNullable().defaultTo('coupled')
    t.integer('machine_schema').notNullable().defaultTo(1)
    t.timestamp('next_due')
    t.boolean('provisional').notNullable().defaultTo(false)
    t.integer('fold_version').notNullable().defaultTo(1)
    t.jsonb('summary')
  })
  await knex.raw(`
    update jobs set summary = jsonb_build_object(
      'kind', 'coupled', 'rounds', rounds, 'asFound', as_found, 'asLeft', as_left)
  `)
  await knex.schema.alterTable('jobs', (t) => {
    t.dropIndex(['closed_at', 'updated_at'])
    t.dropIndex(['machine_id'])
    t.dropColumns('rounds', 'as_found', 'as_left')
  })
  await knex.raw('alter table jobs alter column summary set not null')
  await knex.raw('create index jobs_by_machine on jobs (machine_id, opened_at desc, id desc)')
  await knex.raw(
    'create index jobs_closed_by_machine on jobs (machine_id, closed_at desc) where closed_at is not null',
  )
  await knex.raw('create index jobs_open on jobs (opened_at desc, id desc) where closed_at is null')
  await knex.raw('create index jobs_closed on jobs (closed_at desc, id desc) where closed_at is not null')
  await knex.raw('create index jobs_by_opening on jobs (opened_at desc, id desc)')
  await knex.raw('create index jobs_due on jobs (next_due) where next_due is not null')
  await knex.schema.createTable('job_figures', (t) => {
    t.uuid('job_id').notNullable().references('jobs.id').onDelete('CASCADE')
    t.uuid('machine_id').notNullable().references('machines.id')
    t.timestamp('at').notNullable()
    t.text('moment').notNullable()
    t.text('name').notNullable()
    t.double('value').notNullable()
    t.double('low')
    t.double('high')
    t.text('verdict').notNullable()
    t.primary(['job_id', 'moment', 'name'])
    t.index(['machine_id', 'name', 'at'])
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('job_figures')
  for (const index of ['by_machine', 'closed_by_machine', 'open', 'closed', 'by_opening', 'due'])
    await knex.raw(`drop index jobs_${index}`)
  await knex.schema.alterTable('jobs', (t) => {
    t.integer('rounds').notNullable().defaultTo(0)
    t.jsonb('as_found')
    t.jsonb('as_left')
  })
  await knex.raw(`
    update jobs set rounds = coalesce((summary->>'rounds')::int, 0),
      as_found = nullif(summary->'asFound', 'null'), as_left = nullif(summary->'asLeft', 'null')
    where kind = 'coupled'
  `)
  await knex.schema.alterTable('jobs', (t) => {
    t.dropColumns('kind', 'machine_schema', 'next_due', 'provisional', 'fold_version', 'summary')
    t.index(['machine_id'])
    t.index(['closed_at', 'updated_at'])
  })
  await knex.raw('drop index machines_tag_any_case')
  await knex.schema.alterTable('machines', (t) => t.dropColumn('record_schema'))
  await knex.schema.alterTable('entries', (t) => t.dropColumns('version', 'after_entry', 'before_entry'))
  await knex.schema.alterTable('works', (t) => t.dropColumn('foot_words'))
}
