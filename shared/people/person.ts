import { z } from 'zod'
import { ROLES, type Role } from '../../core/logbook/may'
import { issue } from '../issue'
import { uuid, words } from '../text'
import { PASSWORD, secretFault } from './secret'

/** What is typed as a PIN or password. */
export const typedSecret = z
  .string({ error: issue('text', 'pin-or-password') })
  .min(1, { error: issue('say', 'pin-or-password') })
  .max(PASSWORD.most, { error: issue('secret-too-long') })

const role = z.enum(ROLES, { error: issue('one-of', 'role', ROLES.join(', ')) })
const name = words('name-of-the-person', 80).transform((s) => s.trim().replace(/\s+/g, ' '))
const customer = uuid('customer').nullable().default(null)

/** Somebody of the outside is one customer's; everybody else is of the works. */
const asksForCustomer = (person: { role: Role; customer: string | null }, context: z.RefinementCtx) => {
  if ((person.role === 'customer') === (person.customer !== null)) return
  const code = person.role === 'customer' ? 'which-customer' : 'customer-of-a-viewer'
  context.addIssue({ code: 'custom', path: ['customer'], message: issue(code) })
}

const checkSecret = ({ role: of, secret }: { role: Role; secret: string }, context: z.RefinementCtx) => {
  const fault = secretFault(secret, of)
  if (fault) context.addIssue({ code: 'custom', path: ['secret'], message: issue(fault) })
}

/** Somebody new, with the PIN or password that lets them in once, to choose their own. */
export const newPerson = z
  .object({ id: uuid('person'), name, role, customer, secret: typedSecret })
  .superRefine(asksForCustomer)
  .superRefine(checkSecret)
export type NewPerson = z.output<typeof newPerson>

export const personChange = z
  .object({
    name,
    role,
    customer,
    retired: z.boolean({ error: issue('in-use-or-not') }),
    version: z.int({ error: issue('whole-number', 'version') }).min(1),
  })
  .superRefine(asksForCustomer)
export type PersonChange = z.output<typeof personChange>

/** A PIN or password that a lead gives: it lets in once. */
export const secretReset = z.object({ secret: typedSecret })

/** The first lead of a works that nobody can sign in to yet. */
export const firstLead = z.object({ id: uuid('person'), name, secret: typedSecret })

export const signIn = z.object({
  name,
  secret: typedSecret,
  /** Their own, where the one given lets in once only. */
  chosen: typedSecret.optional(),
})
export type SignIn = z.output<typeof signIn>

export const ownSecret = z.object({ secret: typedSecret, chosen: typedSecret })

export const signOut = z.object({
  /** Off every device at once, or off this one. */
  everywhere: z.boolean({ error: issue('yes-or-no') }).default(false),
})

/** A second person stands by one act: an entry by its id, or a request by an id of its own. */
export const secondShown = z.object({
  act: uuid('entry-id'),
  name,
  secret: typedSecret,
  what: z.string().min(1).max(60),
})
export type SecondShown = z.output<typeof secondShown>
