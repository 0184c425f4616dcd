import type { Knex } from 'knex'
import type { Person } from '../../shared/register/works'
import { listPeople } from '../works/works.repository'

/** Milliseconds that the list of people is kept; what rests on it is checked again as an entry is written. */
const KEPT = 30_000

let known: ReadonlyMap<string, Person> | null = null
let until = 0

/** Everyone by their id, from memory while it is fresh. */
export const peopleById = async (knex: Knex): Promise<ReadonlyMap<string, Person>> => {
  if (known && Date.now() < until) return known
  known = new Map((await listPeople(knex)).map((p) => [p.id, p]))
  until = Date.now() + KEPT
  return known
}

/** Forgets the list: somebody's role has changed, or a new hand has come. */
export const forgetPeople = (): void => {
  until = 0
}
