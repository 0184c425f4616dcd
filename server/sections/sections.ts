import type { Knex } from 'knex'
import type { SectionFields, SectionRecord } from '../../shared/sections/section'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { findSection, insertSection, takeOutOfUse, updateSection } from './sections.repository'

/** Adds a belt section; in use it takes the place of the one before it. 409 when the id is taken. */
export const addSection = async (
  knex: Knex,
  given: SectionFields & { readonly id: string },
): Promise<SectionRecord> => {
  const { id, ...section } = given
  return knex.transaction(async (trx) => {
    if (section.inUse) await takeOutOfUse(trx, section, id)
    if (!(await insertSection(trx, id, section)))
      throw new Refused(409, 'id-taken', answerWords.sectionIdTaken, {
        issues: [{ path: 'id', message: answerWords.sectionIdTaken }],
      })
    return { ...section, id, version: 1 }
  })
}

/** Changes a belt section; 409 with the current one when the version is stale. Jobs already open keep theirs. */
export const changeSection = async (
  knex: Knex,
  id: string,
  change: SectionFields & { readonly version: number },
): Promise<SectionRecord> => {
  const { version, ...section } = change
  return knex.transaction(async (trx) => {
    const current = await findSection(trx, id)
    if (!current) throw notFound(answerWords.noSection)
    if (current.version !== version) throw new Refused(409, 'stale', answerWords.sectionChanged, { current })
    if (section.inUse) await takeOutOfUse(trx, section, id)
    await updateSection(trx, id, version, section)
    return { ...section, id, version: version + 1 }
  })
}
