import type { Knex } from 'knex'

/** What tries on the bench came to, by person; and lessons that a lead has set. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('practice_results', (t) => {
    t.uuid('id').primary()
    t.uuid('person').notNullable().references('people.id')
    t.timestamp('finished_at').notNullable()
    t.jsonb('result').notNullable()
    t.index(['person', 'finished_at'])
    t.index(['finished_at'])
  })
  await knex.schema.createTable('practice_tasks', (t) => {
    t.uuid('id').primary()
    t.uuid('set_by').notNullable().references('people.id')
    t.text('lesson').notNullable()
    t.date('until').notNullable()
    t.text('note').notNullable()
    t.boolean('dropped').notNullable().defaultTo(false)
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('practice_tasks')
  await knex.schema.dropTable('practice_results')
}
