import type { Knex } from 'knex'

/** Instruments with the day up to which their calibration holds. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.schema.createTable('instruments', (t) => {
    t.uuid('id').primary()
    t.text('name').notNullable()
    t.text('kind').notNullable()
    // A day, not a moment: as it stands on the sticker.
    t.text('due')
    t.integer('version').notNullable().defaultTo(1)
  })
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.schema.dropTable('instruments')
}
