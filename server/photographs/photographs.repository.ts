import type { Knex } from 'knex'
import type { Picture } from './picture'

export interface KeptPhotograph {
  readonly id: string
  readonly jobId: string
  readonly sent: Buffer
  readonly jpeg: Buffer
  readonly width: number
  readonly height: number
}

interface Row {
  id: string
  job_id: string
  sent_sha256: Buffer
  jpeg: Buffer
  width: number
  height: number
}

const asKept = (row: Row): KeptPhotograph => ({
  id: row.id,
  jobId: row.job_id,
  sent: row.sent_sha256,
  jpeg: row.jpeg,
  width: row.width,
  height: row.height,
})

/** One photograph of whatever job; undefined when there is none by that id. */
export const findPhotograph = async (knex: Knex, id: string): Promise<KeptPhotograph | undefined> => {
  const row = (await knex('photographs').where({ id }).first()) as Row | undefined
  return row && asKept(row)
}

/** These photographs of a job, as far as they are there. */
export const findPhotographs = async (
  knex: Knex,
  jobId: string,
  ids: readonly string[],
): Promise<readonly KeptPhotograph[]> =>
  (
    (await knex('photographs')
      .where({ job_id: jobId })
      .whereIn('id', [...ids])) as Row[]
  ).map(asKept)

/** Which of these ids are photographs of this job. */
export const knownPhotographs = async (
  knex: Knex,
  jobId: string,
  ids: readonly string[],
): Promise<ReadonlySet<string>> =>
  new Set(
    (await knex('photographs')
      .where({ job_id: jobId })
      .whereIn('id', [...ids])
      .pluck('id')) as string[],
  )

export const countPhotographs = async (knex: Knex, jobId: string): Promise<number> => {
  const [row] = (await knex('photographs').where({ job_id: jobId }).count({ n: '*' })) as { n: string }[]
  return Number(row?.n ?? 0)
}

/** False when a photograph by that id is there already. */
export const insertPhotograph = async (
  knex: Knex,
  jobId: string,
  id: string,
  sent: Buffer,
  { jpeg, width, height }: Picture,
): Promise<boolean> => {
  const added = (await knex('photographs')
    .insert({ id, job_id: jobId, sent_sha256: sent, jpeg, width, height })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return added.length > 0
}
