import type { Knex } from 'knex'
import type { StandstillFields, StandstillRecord } from '../../shared/comeBack/standstill'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { findStandstill, insertStandstill, updateStandstill } from './standstills.repository'

/** Adds a planned stop; 409 when its id is taken. */
export const addStandstill = async (
  knex: Knex,
  given: StandstillFields & { readonly id: string },
): Promise<StandstillRecord> => {
  const { id, ...standstill } = given
  if (!(await insertStandstill(knex, id, standstill)))
    throw new Refused(409, 'id-taken', answerWords.standstillIdTaken, {
      issues: [{ path: 'id', message: answerWords.standstillIdTaken }],
    })
  return { ...standstill, id, version: 1 }
}

/** Changes a planned stop or calls it off; 409 with the current one when the version is stale. */
export const changeStandstill = async (
  knex: Knex,
  id: string,
  change: StandstillFields & { readonly version: number },
): Promise<StandstillRecord> => {
  const { version, ...standstill } = change
  return knex.transaction(async (trx) => {
    const current = await findStandstill(trx, id)
    if (!current) throw notFound(answerWords.noStandstill)
    if (current.version !== version)
      throw new Refused(409, 'stale', answerWords.standstillChanged, { current })
    await updateStandstill(trx, id, version, standstill)
    return { ...standstill, id, version: version + 1 }
  })
}
