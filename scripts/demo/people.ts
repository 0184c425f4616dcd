import type { Knex } from 'knex'
import type { SignInNote } from '../../shared/people/answers'
import { insertCustomer, writeSites } from '../../server/people/customers.repository'
import { insertStaff, writeSecret } from '../../server/people/people.repository'
import { hashOf } from '../../server/people/secrets'
import { DEMO_CUSTOMER, DEMO_NAMES, DEMO_PIN } from './signIn.mjs'
import { demoId, PEOPLE, WORKS } from './works'

const OWN = { once: false, anew: false }

/** Everybody of the demo works signs in with one PIN, and the page says so. */
export const letPeopleIn = async (trx: Knex): Promise<void> => {
  for (const { id } of PEOPLE) await writeSecret(trx, id, await hashOf(DEMO_PIN), OWN)
  const note: SignInNote = {
    people: Object.values(DEMO_NAMES),
    secret: DEMO_PIN,
    customer: DEMO_CUSTOMER,
  }
  await trx('works').update({ sign_in_note: JSON.stringify(note) })
}

/** Machines of the kiln yard are let to somebody, who sees what is done to them; names are left out there. */
export const letCustomerIn = async (trx: Knex): Promise<void> => {
  const customer = demoId('customer/kiln-yard')
  const site = { id: demoId('site/kiln-yard'), name: 'Kiln yard', machines: ['KY-05', 'KY-09'] }
  await insertCustomer(trx, {
    id: customer,
    name: DEMO_CUSTOMER.name,
    namesLeftOut: true,
    retired: false,
    sites: [],
  })
  await writeSites(trx, customer, [site])
  const viewer = demoId('customer/kiln-yard/viewer')
  await insertStaff(trx, { id: viewer, name: DEMO_CUSTOMER.name, role: 'customer', customer })
  await writeSecret(trx, viewer, await hashOf(DEMO_CUSTOMER.secret), OWN)
}

/** Lets people in to a demo works that was written before anybody signed in; false where it is none, or they are let in. */
export const letOldDemoIn = async (trx: Knex): Promise<boolean> => {
  const works = (await trx('works').first('name', 'sign_in_note')) as
    { name: string; sign_in_note: unknown } | undefined
  const known = (await trx('people').whereIn(
    'id',
    PEOPLE.map((p) => p.id),
  )) as unknown[]
  if (works?.name !== WORKS.name || works.sign_in_note !== null || known.length < PEOPLE.length) return false
  await letPeopleIn(trx)
  await letCustomerIn(trx)
  return true
}
