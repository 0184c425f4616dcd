import type { Knex } from 'knex'
import type { PracticeResult, PracticeTask } from '../../shared/practice/result'

interface TaskRow {
  readonly id: string
  readonly set_by: string
  readonly lesson: PracticeTask['lesson']
  readonly until: string
  readonly note: string
}

/** Keeps a result; the one that was kept under its id already stays. */
export const insertResult = async (knex: Knex, result: PracticeResult): Promise<void> => {
  await knex('practice_results')
    .insert({
      id: result.id,
      person: result.person,
      finished_at: result.finishedAt,
      result: JSON.stringify(result),
    })
    .onConflict('id')
    .ignore()
}

/** Results of one person, or of everybody, the newest first, at most so many. */
export const latestResults = async (
  knex: Knex,
  person: string | null,
  most: number,
): Promise<readonly PracticeResult[]> => {
  const asked = knex('practice_results')
    .orderBy([{ column: 'finished_at', order: 'desc' }, 'id'])
    .limit(most)
  const rows = (await (person === null ? asked : asked.where({ person })).select('result')) as {
    readonly result: PracticeResult
  }[]
  return rows.map((r) => r.result)
}

/** Lessons that are set and were not taken back, the soonest first. */
export const openTasks = async (knex: Knex): Promise<readonly PracticeTask[]> => {
  const rows = (await knex('practice_tasks')
    .where({ dropped: false })
    .andWhereRaw(`until > current_date - interval '60 days'`)
    .orderBy(['until', 'id'])
    .select('id', 'set_by', 'lesson', 'note', knex.raw(`to_char(until, 'YYYY-MM-DD') as until`))) as TaskRow[]
  return rows.map(({ set_by: by, ...row }) => ({ ...row, by }))
}

/** Sets a lesson; false when its id is taken. */
export const insertTask = async (knex: Knex, { by, ...task }: PracticeTask): Promise<boolean> => {
  const rows = (await knex('practice_tasks')
    .insert({ ...task, set_by: by })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return rows.length > 0
}

/** Takes a lesson back; false for an unknown one. */
export const dropTask = async (knex: Knex, id: string): Promise<boolean> =>
  (await knex('practice_tasks').where({ id }).update({ dropped: true })) > 0
