import { z } from 'zod'
import { issue } from '../issue'
import { customerChange, newCustomer } from '../people/customer'
import { deedsQuery } from '../people/deeds'
import {
  firstLead,
  newPerson,
  ownSecret,
  personChange,
  secondShown,
  secretReset,
  signIn,
  signOut,
} from '../people/person'

const ownReportQuery = z.object({
  paper: z.enum(['a4', 'letter'], { error: issue('choose-a4-or-letter') }).default('a4'),
  units: z.enum(['inch', 'metric'], { error: issue('choose-inch-or-metric') }).optional(),
})

/** Signing in, people and customers, and who did what; part of the one table of routes. */
export const PEOPLE_ROUTES = {
  session: {
    method: 'get',
    path: '/api/session',
    summary: 'Who is writing on this device, and who it knows.',
  },
  signIn: {
    method: 'post',
    path: '/api/session',
    summary:
      'Signs somebody in on this device by name and PIN or password, and makes them who is writing. Guesses are slowed down.',
    body: signIn,
  },
  lock: {
    method: 'post',
    path: '/api/session/lock',
    summary: 'Locks this device: nothing is read until a PIN is shown. What waits to be sent still goes.',
    body: z.object({}),
  },
  signOut: {
    method: 'post',
    path: '/api/session/out',
    summary: 'Signs out who is writing: of this device, or of every device.',
    body: signOut,
  },
  changeSecret: {
    method: 'post',
    path: '/api/session/secret',
    summary: 'Changes one’s own PIN or password; every other device asks for the new one.',
    body: ownSecret,
  },
  firstLead: {
    method: 'post',
    path: '/api/session/first',
    summary: 'Makes the first lead, as long as nobody can sign in as one.',
    body: firstLead,
  },
  second: {
    method: 'post',
    path: '/api/session/second',
    summary: 'A second person shows their PIN for one entry or one request.',
    body: secondShown,
  },
  peopleInFull: {
    method: 'get',
    path: '/api/people/in-full',
    summary: 'Everybody, with their roles and how they sign in.',
  },
  addPerson: {
    method: 'post',
    path: '/api/people',
    summary: 'Adds somebody, with a PIN or password that lets them in once.',
    body: newPerson,
  },
  changePerson: {
    method: 'put',
    path: '/api/people/{id}',
    summary: 'Changes somebody’s name, role or customer, or lets them in no more.',
    body: personChange,
  },
  resetSecret: {
    method: 'post',
    path: '/api/people/{id}/secret',
    summary: 'Gives somebody a new PIN or password, which lets in once; every device forgets them.',
    body: secretReset,
  },
  customers: {
    method: 'get',
    path: '/api/customers',
    summary: 'Customers with their sites and the machines there.',
  },
  addCustomer: { method: 'post', path: '/api/customers', summary: 'Adds a customer.', body: newCustomer },
  changeCustomer: {
    method: 'put',
    path: '/api/customers/{id}',
    summary: 'Changes a customer; a stale version is answered 409 with the current one.',
    body: customerChange,
  },
  deeds: {
    method: 'get',
    path: '/api/deeds',
    summary: 'Who did what, newest first: everything but entries, which logbooks keep with their writers.',
    query: deedsQuery,
  },
  ownJobs: {
    method: 'get',
    path: '/api/customer/jobs',
    summary: 'The jobs on the machines of one’s own company.',
  },
  ownReport: {
    method: 'get',
    path: '/api/customer/jobs/{id}/report.pdf',
    summary: 'The report of such a job; without names where the works leaves them out.',
    query: ownReportQuery,
    answers: 'application/pdf',
    seconds: 45,
  },
} as const
