import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { photographsOf } from '../../shared/photographs/photographs'
import type { PhotographAnswer } from '../../shared/api/answers'
import { look } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { requireJob } from '../jobs/logbook'
import {
  countPhotographs,
  findPhotograph,
  findPhotographs,
  insertPhotograph,
  type KeptPhotograph,
} from './photographs.repository'
import { pictureFrom, printSize } from './picture'

/** As many as are kept of one job; beyond it somebody is filling a disk. */
const MOST_OF_A_JOB = 400

const answerOf = (p: Pick<KeptPhotograph, 'id' | 'width' | 'height'>, added: boolean): PhotographAnswer => ({
  id: p.id,
  width: p.width,
  height: p.height,
  added,
})

/** The photograph that is there already: the same one again is harmless, another is not let in over it. */
const settle = (kept: KeptPhotograph, jobId: string, sent: Buffer): PhotographAnswer => {
  if (kept.jobId !== jobId || !kept.sent.equals(sent))
    throw new Refused(409, 'id-taken', look.photographs.otherOne)
  return answerOf(kept, false)
}

/** Keeps a photograph with its job. 404 for an unknown job, 422 for what is no picture, 409 for an id that is taken. */
export const keepPhotograph = async (
  knex: Knex,
  jobId: string,
  id: string,
  bytes: Buffer,
): Promise<PhotographAnswer> => {
  const sent = createHash('sha256').update(bytes).digest()
  const job = await requireJob(knex, jobId)
  const known = await findPhotograph(knex, id)
  if (known) return settle(known, job.id, sent)
  if ((await countPhotographs(knex, job.id)) >= MOST_OF_A_JOB)
    throw new Refused(409, 'job-full', look.photographs.jobFull)
  const picture = await pictureFrom(bytes)
  if (await insertPhotograph(knex, job.id, id, sent, picture)) return answerOf({ id, ...picture }, true)
  const meanwhile = await findPhotograph(knex, id)
  if (!meanwhile) throw notFound(answerWords.nothingHere)
  return settle(meanwhile, job.id, sent)
}

/** A photograph of this job as JPEG; 404 when there is none. */
export const photographOf = async (knex: Knex, jobId: string, id: string): Promise<Buffer> => {
  const kept = await findPhotograph(knex, id)
  if (kept?.jobId !== jobId.toLowerCase()) throw notFound(answerWords.nothingHere)
  return kept.jpeg
}

/** The photographs a logbook refers to, as data URLs by id, at the size they are printed. */
export const printedPhotographs = async (
  knex: Knex,
  jobId: string,
  entries: readonly { readonly kind: string; readonly payload?: unknown }[],
): Promise<Readonly<Record<string, string>>> => {
  const ids = [...new Set(entries.flatMap(photographsOf))]
  const printed: Record<string, string> = {}
  // A few at a time: a job may have hundreds.
  for (let i = 0; i < ids.length; i += 8) {
    const kept = await findPhotographs(knex, jobId, ids.slice(i, i + 8))
    for (const { id, jpeg } of kept)
      printed[id] = `data:image/jpeg;base64,${(await printSize(jpeg)).jpeg.toString('base64')}`
  }
  return printed
}
