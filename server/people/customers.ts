import type { Knex } from 'knex'
import type { OwnJobs } from '../../shared/people/answers'
import type { Customer, CustomerChange, NewCustomer } from '../../shared/people/customer'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused, refusedAt } from '../http/refusal'
import {
  customerCalled,
  findCustomer,
  insertCustomer,
  isJobOfCustomer,
  jobsOfCustomer,
  siteElsewhere,
  unknownTags,
  updateCustomer,
  writeSites,
} from './customers.repository'
import type { Staff } from './people.repository'

const w = answerWords.people

const askSites = async (knex: Knex, customer: string, sites: NewCustomer['sites']): Promise<void> => {
  const ids = sites.map((s) => s.id)
  if (new Set(ids).size < ids.length || (await siteElsewhere(knex, customer, ids)))
    throw refusedAt(409, 'id-taken', 'sites', w.siteIdTaken)
  for (const [i, site] of sites.entries()) {
    const [unknown] = await unknownTags(knex, site.machines)
    if (unknown !== undefined) {
      const at = site.machines.indexOf(unknown)
      throw refusedAt(422, 'bad-input', `sites.${i}.machines.${at}`, answerWords.noTag(unknown))
    }
  }
}

/** Adds a customer with its sites. 409 where its name or an id is taken, 422 for a machine that is not there. */
export const addCustomer = async (knex: Knex, given: NewCustomer): Promise<Customer> =>
  knex.transaction(async (trx) => {
    if (await customerCalled(trx, given.name, given.id))
      throw refusedAt(409, 'name-taken', 'name', w.customerNameTaken)
    if (!(await insertCustomer(trx, given))) throw refusedAt(409, 'id-taken', 'id', w.idTaken)
    await askSites(trx, given.id, given.sites)
    await writeSites(trx, given.id, given.sites)
    return { ...given, version: 1 }
  })

/** Changes a customer and its sites; 409 with the current one where the version is stale. */
export const changeCustomer = async (knex: Knex, id: string, change: CustomerChange): Promise<Customer> =>
  knex.transaction(async (trx) => {
    const { version, ...given } = change
    const current = await findCustomer(trx, id)
    if (!current) throw notFound(w.noCustomer)
    if (await customerCalled(trx, given.name, id))
      throw refusedAt(409, 'name-taken', 'name', w.customerNameTaken)
    await askSites(trx, id, given.sites)
    if (!(await updateCustomer(trx, id, version, given)))
      throw new Refused(409, 'stale', w.customerChanged, { current })
    await writeSites(trx, id, given.sites)
    return { id, ...given, version: version + 1 }
  })

/** The customer somebody is of; 403 where it is served no more. */
const customerOf = async (knex: Knex, viewer: Staff): Promise<Customer> => {
  const customer = viewer.customer === null ? null : await findCustomer(knex, viewer.customer)
  if (!customer || customer.retired) throw new Refused(403, 'not-allowed', w.customerRetired)
  return customer
}

/** What somebody of a customer sees: the jobs on its machines. */
export const ownJobsOf = async (knex: Knex, viewer: Staff): Promise<OwnJobs> => {
  const customer = await customerOf(knex, viewer)
  return { customer: customer.name, rows: await jobsOfCustomer(knex, customer.id) }
}

/** Whether the report of this job goes to them without names; 404 where it is none of theirs. */
export const ownReportOf = async (
  knex: Knex,
  viewer: Staff,
  job: string,
): Promise<{ readonly names: boolean }> => {
  const customer = await customerOf(knex, viewer)
  if (!(await isJobOfCustomer(knex, customer.id, job))) throw notFound(answerWords.noJob)
  return { names: !customer.namesLeftOut }
}
