import type { Knex } from 'knex'
import type { ComeBackRules } from '../../core/comeBack/rules'
import type { Works } from '../../shared/register/works'
import { answerWords } from '../../shared/wording/viewWords'
import { Refused } from '../http/refusal'
import { findWorks, updateComeBack } from './works.repository'

/** Changes the works' rules for coming back; 409 with the works as it is when the version is stale. Days that were signed for stay. */
export const changeComeBack = async (
  knex: Knex,
  change: ComeBackRules & { readonly version: number },
): Promise<Works> => {
  const { version, ...rules } = change
  const changed = await updateComeBack(knex, version, rules)
  const works = await findWorks(knex)
  if (!changed) throw new Refused(409, 'stale', answerWords.worksChanged, { current: works })
  return works
}
