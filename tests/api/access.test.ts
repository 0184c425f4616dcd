import { randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, it } from 'vitest'
import { leaveTo, leaveToWrite, ROLES, type Role } from '../../core/logbook/may'
import { DEMO_CUSTOMER, DEMO_NAMES, signIn } from '../../scripts/demo/signIn.mjs'
import { demoId } from '../../scripts/demo/works'
import { ACCESS, type RouteName } from '../../shared/api/access'
import { ROUTES, type RouteContract } from '../../shared/api/routes'
import { everyKind } from '../../shared/logbook/testEveryKind'
import { DEEDS } from '../../shared/people/deeds'
import { draft } from '../support/entries'
import { useProgram } from './client'

const api = useProgram('access')

/** Who stands for a role, on a device of their own. */
const NAMES: Readonly<
  Record<Role, { readonly name: string; readonly id: string; readonly secret?: string }>
> = {
  apprentice: { name: DEMO_NAMES.apprentice, id: demoId('apprentice') },
  millwright: { name: DEMO_NAMES.day, id: demoId('day') },
  lead: { name: DEMO_NAMES.lead, id: demoId('lead') },
  planner: { name: DEMO_NAMES.planner, id: demoId('planner') },
  customer: { ...DEMO_CUSTOMER, id: demoId('customer/kiln-yard/viewer') },
}
const cookies = new Map<Role, string>()
beforeAll(async () => {
  for (const role of ROLES) {
    const { name, secret } = NAMES[role]
    cookies.set(role, await signIn(api.program().url, [name], secret))
  }
}, 60_000)

const routes = Object.entries(ROUTES) as [RouteName, RouteContract][]
/** An address of a route that nothing is at: it is never changed by being asked. */
const addressOf = ({ path }: RouteContract) => path.replaceAll(/\{\w+\}/g, () => randomUUID())

const asked = async (contract: RouteContract, cookie: string) => {
  const hangUp = new AbortController()
  const answer = await fetch(api.program().url + addressOf(contract), {
    method: contract.method.toUpperCase(),
    headers: {
      cookie,
      ...(contract.method === 'get' ? {} : { 'content-type': contract.takes?.[0] ?? 'application/json' }),
    },
    ...(contract.method === 'get' ? {} : { body: '{"nothing":"here"}' }),
    signal: hangUp.signal,
  })
  const text = answer.headers.get('content-type')?.startsWith('application/json') ? await answer.text() : '{}'
  hangUp.abort()
  const { error } = JSON.parse(text) as { error?: { code: string } }
  return { status: answer.status, code: error?.code }
}

describe('every route', () => {
  it('asks for a right, or is nobody’s secret', () => {
    expect(Object.keys(ACCESS).sort()).toEqual(Object.keys(ROUTES).sort())
    const logged = Object.entries(ACCESS).filter(([, access]) => !access.unlogged)
    expect(DEEDS).toEqual(expect.arrayContaining(logged.map(([name]) => name)))
  })

  it.each(routes)('%s: nobody who has not signed in', async (name, contract) => {
    const { status, code } = await asked(contract, '')
    if (ACCESS[name].asks === null) expect(code).not.toBe('sign-in')
    else expect([status, code]).toEqual([401, 'sign-in'])
  })

  it.each(ROLES.flatMap((role) => routes.map(([name, contract]) => [role, name, contract] as const)))(
    '%s: %s',
    async (role, name, contract) => {
      // What signs out or guesses would say nothing of the others.
      if (ACCESS[name].asks === null) return
      const { status, code } = await asked(contract, cookies.get(role) ?? '')
      const leave = leaveTo(role, ACCESS[name].asks)
      if (leave === 'no') expect([status, code]).toEqual([403, 'not-allowed'])
      else if (leave === 'with-second') expect([status, code]).toEqual([403, 'needs-second'])
      else {
        expect([401, 403]).not.toContain(status)
        expect(status).toBeLessThan(500)
      }
    },
  )
})

describe('every kind of entry', () => {
  const kinds = [...new Map(everyKind().map((body) => [body.kind, body])).values()]

  it.each(ROLES)(
    'written by the role %s: as the table says',
    async (role) => {
      const job = await api.openJob()
      for (const body of kinds) {
        const entry = draft(body, { author: NAMES[role].id })
        const answer = await fetch(`${api.program().url}/api/jobs/${job}/entries`, {
          method: 'POST',
          headers: { cookie: cookies.get(role) ?? '', 'content-type': 'application/json' },
          body: JSON.stringify(entry),
        })
        const { error } = (await answer.json()) as { error?: { code: string } }
        const leave = leaveToWrite(role, body.kind)
        const told = `${body.kind}: ${answer.status} ${error?.code ?? ''}`
        if (leave === 'no') expect([answer.status, error?.code], told).toEqual([403, 'not-allowed'])
        else if (leave === 'with-second')
          expect([answer.status, error?.code], told).toEqual([403, 'needs-second'])
        else expect([201, 409, 422], told).toContain(answer.status)
      }
    },
    60_000,
  )
})
