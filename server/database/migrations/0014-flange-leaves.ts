import type { Knex } from 'knex'

const indexOver = (kinds: readonly string[]) =>
  `create index entries_footwork on entries (received_at) where kind in (${kinds.map((k) => `'${k}'`).join(', ')})`
const UNDER_FEET = ['foot-filled', 'machine-levelled', 'hubs-roughed', 'move-made']

/** Leaves laid under the bolts of a flange come from the same stores. */
export const up = async (knex: Knex): Promise<void> => {
  await knex.raw('drop index entries_footwork')
  await knex.raw(indexOver([...UNDER_FEET, 'flange-moved']))
}

export const down = async (knex: Knex): Promise<void> => {
  await knex.raw('drop index entries_footwork')
  await knex.raw(indexOver(UNDER_FEET))
}
