import type { Knex } from 'knex'

/** Minutes in which a request that a second person stood by has to come. */
const MINUTES = 10

/** Keeps that a second person showed their PIN for an act; the same twice is harmless. */
export const insertSecond = async (knex: Knex, act: string, person: string, what: string): Promise<void> => {
  await knex('seconds').insert({ act, person, what }).onConflict(['act', 'person']).ignore()
}

/** Whether they showed it for this act. */
export const wasShown = async (knex: Knex, act: string, person: string): Promise<boolean> =>
  (await knex('seconds').where({ act, person }).first('act')) !== undefined

/** Takes the PIN that was shown for this request lately, once; null where none was. */
export const useSecond = async (knex: Knex, act: string, what: string): Promise<string | null> => {
  const [row] = (await knex('seconds')
    .where({ act, what })
    .whereNull('used_at')
    .whereRaw(`at > now() - ? * interval '1 minute'`, [MINUTES])
    .update({ used_at: knex.fn.now() })
    .returning('person')) as { person: string }[]
  return row?.person ?? null
}
