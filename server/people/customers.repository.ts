import type { Knex } from 'knex'
import type { Customer, NewCustomer } from '../../shared/people/customer'
import type { OwnJob } from '../../shared/people/answers'

interface Row {
  readonly id: string
  readonly name: string
  readonly names_left_out: boolean
  readonly retired: boolean
  readonly version: number
}

/** Customers with their sites and the machines there, by name; one of them where asked. */
const customersWhere = async (knex: Knex, only: { readonly id?: string }): Promise<readonly Customer[]> => {
  const rows = (await knex('customers')
    .where(only)
    .select('id', 'name', 'names_left_out', 'retired', 'version')
    .orderBy(['retired', 'name'])) as Row[]
  const sites = (await knex('sites')
    .whereIn(
      'customer',
      rows.map((r) => r.id),
    )
    .select('id', 'customer', 'name')
    .orderBy('place')) as { id: string; customer: string; name: string }[]
  const machines = (await knex('machines').whereNotNull('site').select('tag', 'site').orderBy('tag')) as {
    tag: string
    site: string
  }[]
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    namesLeftOut: row.names_left_out,
    retired: row.retired,
    version: row.version,
    sites: sites
      .filter((s) => s.customer === row.id)
      .map((s) => ({
        id: s.id,
        name: s.name,
        machines: machines.filter((m) => m.site === s.id).map((m) => m.tag),
      })),
  }))
}

export const listCustomers = (knex: Knex): Promise<readonly Customer[]> => customersWhere(knex, {})

/** One customer, or null. */
export const findCustomer = async (knex: Knex, id: string): Promise<Customer | null> =>
  (await customersWhere(knex, { id }))[0] ?? null

/** Whether another customer has this name. */
export const customerCalled = async (knex: Knex, name: string, but: string): Promise<boolean> =>
  (await knex('customers').whereRaw('lower(name) = lower(?)', [name]).whereNot({ id: but }).first('id')) !==
  undefined

/** Adds a customer without its sites; false where the id is taken. */
export const insertCustomer = async (
  knex: Knex,
  { id, name, namesLeftOut, retired }: NewCustomer,
): Promise<boolean> => {
  const added = (await knex('customers')
    .insert({ id, name, names_left_out: namesLeftOut, retired })
    .onConflict('id')
    .ignore()
    .returning('id')) as unknown[]
  return added.length > 0
}

/** Writes a customer over `version`; false when someone was faster. */
export const updateCustomer = async (
  knex: Knex,
  id: string,
  version: number,
  { name, namesLeftOut, retired }: Pick<NewCustomer, 'name' | 'namesLeftOut' | 'retired'>,
): Promise<boolean> =>
  (await knex('customers')
    .where({ id, version })
    .update({ name, names_left_out: namesLeftOut, retired, version: version + 1 })) === 1

/** Tags of these that no machine has. */
export const unknownTags = async (knex: Knex, tags: readonly string[]): Promise<readonly string[]> => {
  const known = (await knex('machines')
    .whereRaw('lower(tag) = any(?)', [tags.map((t) => t.toLowerCase())])
    .pluck('tag')) as string[]
  const there = new Set(known.map((t) => t.toLowerCase()))
  return tags.filter((t) => !there.has(t.toLowerCase()))
}

/** The sites of a customer as given, each with its machines: a machine moves there from wherever it stood. */
export const writeSites = async (
  knex: Knex,
  customer: string,
  sites: NewCustomer['sites'],
): Promise<void> => {
  const own = knex('sites').select('id').where({ customer })
  await knex('machines').whereIn('site', own).update({ site: null })
  await knex('sites')
    .where({ customer })
    .whereNotIn(
      'id',
      sites.map((s) => s.id),
    )
    .del()
  for (const [place, { id, name, machines }] of sites.entries()) {
    await knex('sites').insert({ id, customer, name, place }).onConflict('id').merge(['name', 'place'])
    await knex('machines')
      .whereRaw('lower(tag) = any(?)', [machines.map((t) => t.toLowerCase())])
      .update({ site: id })
  }
}

/** Whether a site of this id belongs to another customer. */
export const siteElsewhere = async (knex: Knex, customer: string, ids: readonly string[]): Promise<boolean> =>
  (await knex('sites')
    .whereIn('id', [...ids])
    .whereNot({ customer })
    .first('id')) !== undefined

interface OwnRow {
  readonly id: string
  readonly tag: string
  readonly machine: string
  readonly site: string
  readonly opened_at: Date
  readonly closed_at: Date | null
  readonly verdict: OwnJob['verdict']
  readonly next_due: Date | null
}

const ownJobs = (knex: Knex, customer: string) =>
  knex('jobs')
    .join('machines', 'machines.id', 'jobs.machine_id')
    .join('sites', 'sites.id', 'machines.site')
    .where('sites.customer', customer)

/** Most jobs that a customer is shown at once. */
const SHOWN = 500

/** Jobs on the machines at a customer's sites, newest first. */
export const jobsOfCustomer = async (knex: Knex, customer: string): Promise<readonly OwnJob[]> =>
  (
    (await ownJobs(knex, customer)
      .select(
        'jobs.id',
        'machines.tag',
        'machines.name as machine',
        'sites.name as site',
        'jobs.opened_at',
        'jobs.closed_at',
        'jobs.verdict',
        'jobs.next_due',
      )
      .orderBy('jobs.opened_at', 'desc')
      .limit(SHOWN)) as OwnRow[]
  ).map((row) => ({
    id: row.id,
    tag: row.tag,
    machine: row.machine,
    site: row.site,
    openedAt: row.opened_at.toISOString(),
    closedAt: row.closed_at?.toISOString() ?? null,
    verdict: row.verdict,
    nextDue: row.next_due?.toISOString() ?? null,
  }))

/** Whether a job is on a machine at one of a customer's sites. */
export const isJobOfCustomer = async (knex: Knex, customer: string, job: string): Promise<boolean> =>
  (await ownJobs(knex, customer).where('jobs.id', job).first('jobs.id')) !== undefined
