import type { Knex } from 'knex'
import type { CalendarAnswer } from '../../shared/api/answers'
import { standstillsFrom } from './standstills.repository'
import { dueVisits } from './visits'

/** Planned stops that are looked at: years of weekly ones in a dozen halls. */
export const MOST_STANDSTILLS = 2000
const DAY = 86_400_000
/** Stops of the last weeks stay in sight. */
const LOOK_BACK = 31 * DAY

/** What is due, and when halls stand. */
export const calendar = async (knex: Knex, now = new Date()): Promise<CalendarAnswer> => {
  const standstills = await standstillsFrom(knex, new Date(now.getTime() - LOOK_BACK), MOST_STANDSTILLS)
  return { visits: await dueVisits(knex, now, standstills), standstills }
}
