import type { Knex } from 'knex'
import { hearOthers, tellOthers, whenLinked } from '../database/otherProcesses'
import { listStaff, type Staff } from '../people/people.repository'

/** Milliseconds that the list of people is kept; what rests on it is checked again as an entry is written. */
const KEPT = 30_000
const CHANNEL = 'hc_people'

let known: ReadonlyMap<string, Staff> | null = null
let until = 0

/** Everyone by their id, from memory while it is fresh. */
export const peopleById = async (knex: Knex): Promise<ReadonlyMap<string, Staff>> => {
  if (known && Date.now() < until) return known
  known = new Map((await listStaff(knex)).map((p) => [p.id, p]))
  until = Date.now() + KEPT
  return known
}

/** Forgets the list: somebody's role has changed, or a new hand has come. */
export const forgetPeople = (): void => {
  until = 0
}

/** As forgetPeople, in every process: somebody was let in no more, or signed out everywhere. */
export const peopleChanged = async (): Promise<void> => {
  forgetPeople()
  await tellOthers(CHANNEL, 'changed')
}

/** Hears of it when another process changed somebody. To be asked before the line to the others is opened. */
export const hearOfPeople = (): void => {
  hearOthers(CHANNEL, forgetPeople)
  whenLinked(forgetPeople)
}
