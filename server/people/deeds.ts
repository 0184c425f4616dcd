import type { Knex } from 'knex'
import type { Page } from '../../shared/api/answers'
import type { DeedLine } from '../../shared/people/answers'
import type { DeedsQuery } from '../../shared/people/deeds'
import { cursorOf } from '../http/cursor'
import { findDeeds } from './deeds.repository'

/** A page of the register of who did what. */
export const pageOfDeeds = async (knex: Knex, query: DeedsQuery): Promise<Page<DeedLine>> => {
  const found = await findDeeds(knex, query)
  const rows = found.slice(0, query.most)
  const last = rows[rows.length - 1]
  return { rows, next: found.length > query.most && last ? cursorOf(last.at, last.id) : null }
}
