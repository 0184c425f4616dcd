import type { Knex } from 'knex'
import { photographsOf } from '../../shared/photographs/photographs'
import { answerWords } from '../../shared/wording/viewWords'
import { Refused } from '../http/refusal'
import { knownPhotographs } from './photographs.repository'

/** Refuses an entry that refers to photographs this job doesn't have: they are sent before it. */
export const askForPhotographs = async (
  knex: Knex,
  jobId: string,
  entry: { readonly kind: string; readonly payload?: unknown },
): Promise<void> => {
  const named = photographsOf(entry)
  if (named.length === 0) return
  const known = await knownPhotographs(knex, jobId, named)
  const missing = named.findIndex((id) => !known.has(id))
  if (missing >= 0)
    throw new Refused(422, 'no-such-photograph', answerWords.noPhotograph, {
      issues: [{ path: `payload.photographs.${missing}`, message: answerWords.noPhotograph }],
    })
}
