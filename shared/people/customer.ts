import { z } from 'zod'
import { issue } from '../issue'
import { uuid, words } from '../text'

const site = z.object({
  id: uuid('site'),
  name: words('name-of-the-site', 80).transform((s) => s.trim()),
  machines: z.array(words('which-machine-by-its-tag', 20)).max(2000, { error: issue('sites-as-a-list') }),
})

const fields = {
  name: words('name-of-the-customer', 80).transform((s) => s.trim()),
  namesLeftOut: z.boolean({ error: issue('yes-or-no') }),
  retired: z.boolean({ error: issue('in-use-or-not') }),
  sites: z.array(site, { error: issue('sites-as-a-list') }).max(100, { error: issue('sites-as-a-list') }),
}

/** A machine stands at one site. */
const once = ({ sites }: { sites: readonly z.output<typeof site>[] }, context: z.RefinementCtx) => {
  const seen = new Set<string>()
  sites.forEach((s, i) =>
    s.machines.forEach((tag, j) => {
      const key = tag.toLowerCase()
      if (seen.has(key))
        context.addIssue({
          code: 'custom',
          path: ['sites', i, 'machines', j],
          message: issue('machine-at-two-sites'),
        })
      seen.add(key)
    }),
  )
}

export const newCustomer = z.object({ id: uuid('customer'), ...fields }).superRefine(once)
export type NewCustomer = z.output<typeof newCustomer>

export const customerChange = z
  .object({ ...fields, version: z.int({ error: issue('whole-number', 'version') }).min(1) })
  .superRefine(once)
export type CustomerChange = z.output<typeof customerChange>

/** A customer with the sites where its machines stand. */
export interface Customer extends NewCustomer {
  readonly version: number
}
