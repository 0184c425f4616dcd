import type { Knex } from 'knex'
import type { PersonInFull } from '../../shared/people/answers'
import type { NewPerson, PersonChange } from '../../shared/people/person'
import { secretFault } from '../../shared/people/secret'
import { issue } from '../../shared/issue'
import { answerWords } from '../../shared/wording/viewWords'
import { wordIssue } from '../../shared/wording/wordIssue'
import { notFound, Refused, refusedAt } from '../http/refusal'
import { peopleChanged } from '../jobs/people'
import { findCustomer } from './customers.repository'
import {
  findGuarded,
  guardedByName,
  insertStaff,
  leadThere,
  listStaff,
  oneAtATime,
  updateStaff,
  writeSecret,
  type Staff,
} from './people.repository'
import { hashOf } from './secrets'

const w = answerWords.people

const inFull = ({ id, name, role, customer, retired, signsIn, version }: Staff): PersonInFull => ({
  id,
  name,
  role,
  customer,
  retired,
  signsIn,
  version,
})

/** Everybody, as leads see them. */
export const peopleInFull = async (knex: Knex): Promise<readonly PersonInFull[]> =>
  (await listStaff(knex)).map(inFull)

const askCustomer = async (knex: Knex, customer: string | null): Promise<void> => {
  if (customer !== null && !(await findCustomer(knex, customer)))
    throw refusedAt(422, 'bad-input', 'customer', w.noCustomer)
}

/** People sign in by their name: two in service can't share one. */
const askName = async (knex: Knex, name: string, but: string): Promise<void> => {
  if ((await guardedByName(knex, name)).some((p) => p.id !== but))
    throw refusedAt(409, 'name-taken', 'name', w.nameTaken)
}

/** Adds somebody, who chooses a PIN of their own as they first sign in. 409 where the name or the id is taken. */
export const addPerson = async (knex: Knex, given: NewPerson): Promise<PersonInFull> => {
  const secret = await hashOf(given.secret)
  await knex.transaction(async (trx) => {
    await oneAtATime(trx)
    await askName(trx, given.name, given.id)
    await askCustomer(trx, given.customer)
    const { id, name, role, customer } = given
    if (!(await insertStaff(trx, { id, name, role, customer })))
      throw refusedAt(409, 'id-taken', 'id', w.idTaken)
    await writeSecret(trx, id, secret, { once: true, anew: false })
  })
  await peopleChanged()
  return inFull(await found(knex, given.id))
}

const found = async (knex: Knex, id: string): Promise<Staff> => {
  const person = await findGuarded(knex, id)
  if (!person) throw notFound(w.noPerson)
  return person
}

/**
 * Changes somebody. 409 with the current row where the version is stale, where the name is taken, or where nobody would
 * be left who leads. Whoever may do less, or is let in no more, is asked for their PIN anew on every device.
 */
export const changePerson = async (knex: Knex, id: string, change: PersonChange): Promise<PersonInFull> => {
  const { version, ...given } = change
  await knex.transaction(async (trx) => {
    await oneAtATime(trx)
    const current = await findGuarded(trx, id, true)
    if (!current) throw notFound(w.noPerson)
    if (current.version !== version)
      throw new Refused(409, 'stale', w.personChanged, { current: inFull(current) })
    if (!given.retired) await askName(trx, given.name, id)
    await askCustomer(trx, given.customer)
    const leaves = current.role === 'lead' && !current.retired && (given.role !== 'lead' || given.retired)
    if (leaves && !(await leadThere(trx, id))) throw refusedAt(409, 'last-lead', 'role', w.lastLead)
    await updateStaff(
      trx,
      id,
      version,
      given,
      given.role !== current.role || given.retired !== current.retired,
    )
  })
  await peopleChanged()
  return inFull(await found(knex, id))
}

/** Gives somebody a PIN that lets them in once; every device forgets them. */
export const resetSecret = async (knex: Knex, id: string, secret: string): Promise<PersonInFull> => {
  const person = await found(knex, id)
  const fault = secretFault(secret, person.role)
  if (fault) throw refusedAt(422, 'bad-input', 'secret', wordIssue(issue(fault)))
  await writeSecret(knex, id, await hashOf(secret), { once: true, anew: true })
  await peopleChanged()
  return inFull(await found(knex, id))
}
