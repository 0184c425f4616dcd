import type { Knex } from 'knex'
import type { LimitSetFields, LimitSetRecord } from '../../shared/limits/limitSet'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { findLimitSet, insertLimitSet, takeOutOfForce, updateLimitSet } from './limits.repository'

/** Adds a table of limits; in force it takes the place of the one before it. 409 when the id is taken. */
export const addLimitSet = async (
  knex: Knex,
  given: LimitSetFields & { readonly id: string },
): Promise<LimitSetRecord> => {
  const { id, ...set } = given
  return knex.transaction(async (trx) => {
    if (set.inForce) await takeOutOfForce(trx, set, id)
    if (!(await insertLimitSet(trx, id, set)))
      throw new Refused(409, 'id-taken', answerWords.limitsIdTaken, {
        issues: [{ path: 'id', message: answerWords.limitsIdTaken }],
      })
    return { ...set, id, version: 1 }
  })
}

/** Changes a table of limits; 409 with the current one when the version is stale. Jobs already open keep theirs. */
export const changeLimitSet = async (
  knex: Knex,
  id: string,
  change: LimitSetFields & { readonly version: number },
): Promise<LimitSetRecord> => {
  const { version, ...set } = change
  return knex.transaction(async (trx) => {
    const current = await findLimitSet(trx, id)
    if (!current) throw notFound(answerWords.noLimits)
    if (current.version !== version) throw new Refused(409, 'stale', answerWords.limitsChanged, { current })
    if (set.inForce) await takeOutOfForce(trx, set, id)
    await updateLimitSet(trx, id, version, set)
    return { ...set, id, version: version + 1 }
  })
}
