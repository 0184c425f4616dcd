import { randomUUID } from 'node:crypto'
import knexModule from 'knex'
import { describe, expect, it } from 'vitest'
import { knexOptions } from '../../server/database/connection'
import { FIRST_VERSION } from '../../shared/logbook/testFirstVersion'
import { MACHINES } from '../../scripts/demo/works'
import { AUTHOR, draft, lockOut, LOW_MOTOR, OPENING } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('versions')

/** A machine's record as the first version kept it: two pairs of the motor, nothing under the others. */
const firstRecord = (tag: string) => {
  const machine = MACHINES.find((m) => m.tag === 'CP-11')
  if (machine?.drive !== 'coupled' || machine.usual.method !== 'rim-face') throw new Error('no such machine')
  const { drive: _, usual, feet, ...rest } = machine
  const { method: __, ...rim } = usual
  return {
    ...rest,
    tag,
    usual: rim,
    feet: feet.movable,
    stationaryFeet: feet.stationary.map(({ id, x }) => ({ id, x })),
  }
}

/** Rows as an older program left them, put straight into the database. */
const withDatabase = async <T>(run: (knex: ReturnType<typeof knexModule>) => Promise<T>): Promise<T> => {
  const knex = knexModule(knexOptions(api.program().databaseUrl))
  try {
    return await run(knex)
  } finally {
    await knex.destroy()
  }
}

const keepOldMachine = (tag: string, version = 1) =>
  withDatabase(async (knex) => {
    const id = randomUUID()
    const { name, area, ...rest } = firstRecord(tag)
    const record = JSON.stringify({ name, area, ...rest })
    await knex('machines').insert({ id, tag, name, area, version, record, record_schema: 1 })
    return id
  })

const keepOldEntry = (job: string, seq: number, kind: string, payload: object) =>
  withDatabase(async (knex) => {
    await knex('jobs').where({ id: job }).update({ entry_count: seq })
    await knex('entries').insert({
      id: randomUUID(),
      job_id: job,
      seq,
      kind,
      version: 1,
      payload: JSON.stringify(payload),
      author: AUTHOR,
      made_at: new Date(),
      received_at: new Date(),
    })
  })

describe('rows of the first version', () => {
  it('are answered in today’s shape, and their job goes on', async () => {
    const job = await api.openJob()
    for (const body of lockOut) await api.log(job, body)
    await keepOldEntry(job, 7, 'set-up', FIRST_VERSION.setUp)
    await keepOldEntry(job, 8, 'readings-taken', FIRST_VERSION.readings)
    // Another process wrote them: this one must not go by what it remembers.
    await api.program().kill()
    await api.program().restart()
    const answer = (await api.ask(`/api/jobs/${job}`)).body as {
      entries: { kind: string; version: number; payload: Record<string, unknown> }[]
    }
    expect(answer.entries[6]).toMatchObject({ kind: 'set-up', payload: { how: { method: 'rim-face' } } })
    expect(answer.entries[7]).toMatchObject({ payload: { circles: { rim: [{}, {}, {}, {}] } } })
    expect(answer.entries[7]?.version).toBeGreaterThan(1)
    expect((await api.log(job, LOW_MOTOR)).status).toBe(201)
    const { open } = (await api.ask('/api/today')).body as {
      open: { rows: { id: string; verdict: string }[] }
    }
    expect(open.rows.find((j) => j.id === job)).toMatchObject({ verdict: 'out', stage: 'plan' })
  }, 60_000)

  it('of the register are answered in today’s shape, changed and worked on', async () => {
    const id = await keepOldMachine('OLD-1')
    const { machine } = (await api.ask('/api/machines/OLD-1')).body as {
      machine: Record<string, unknown> & { feet: { movable: unknown[] } }
    }
    expect(machine).toMatchObject({
      id,
      drive: 'coupled',
      usual: { method: 'rim-face' },
      feet: { movable: [{ id: 'inboard' }, { id: 'outboard' }], stationary: [{ locked: true }, {}] },
    })
    const { id: _, ...fields } = machine
    expect((await api.send('PUT', '/api/machines/OLD-1', { ...fields, rpm: 985 })).status).toBe(200)
    const job = await api.openJob('OLD-1')
    expect((await api.ask(`/api/jobs/${job}`)).body.machine).toMatchObject({ rpm: 985, drive: 'coupled' })
  })
})

describe('a device that has not learnt the new shape yet', () => {
  it('posts old entries, which are taken up in today’s', async () => {
    const job = await api.openJob()
    for (const body of lockOut) await api.log(job, body)
    const old = (kind: string, payload: object) => ({
      id: randomUUID(),
      author: AUTHOR,
      madeAt: new Date().toISOString(),
      version: 1,
      kind,
      payload,
    })
    for (const entry of [old('set-up', FIRST_VERSION.setUp), old('readings-taken', FIRST_VERSION.readings)]) {
      const answer = await api.post(`/api/jobs/${job}/entries`, entry)
      expect(answer.status, JSON.stringify(answer.body)).toBe(201)
      // Sent again, as a device does that missed the answer.
      expect((await api.post(`/api/jobs/${job}/entries`, entry)).status).toBe(200)
    }
  })

  it('adds a machine in the old shape', async () => {
    const machine = { ...firstRecord('OLD-2'), id: randomUUID(), schema: 1 }
    const answer = await api.post('/api/machines', machine)
    expect(answer.status, JSON.stringify(answer.body)).toBe(201)
    expect((await api.ask('/api/machines/old-2')).body.machine).toMatchObject({ drive: 'coupled' })
  })

  it('is told what is wrong at the field, in either shape', async () => {
    const job = await api.openJob()
    const odd = { ...draft(OPENING), kind: 'set-up', version: 1, payload: { units: 'inch', rim: 7 } }
    expectRefusal(await api.post(`/api/jobs/${job}/entries`, odd), 422)
    const tomorrow = await api.post(`/api/jobs/${job}/entries`, { ...draft(LOW_MOTOR), version: 99 })
    expectRefusal(tomorrow, 422)
    expect(issuePaths(tomorrow)).toEqual(['version'])
  })
})
