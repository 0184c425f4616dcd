import { randomUUID } from 'node:crypto'
import knexModule from 'knex'
import { describe, expect, it } from 'vitest'
import { knexOptions } from '../../server/database/connection'
import { migrateDown, migrateUp } from '../../server/database/migrate'
import { draft } from '../support/entries'
import { expectRefusal, useProgram } from './client'

const api = useProgram('outages', { alone: true })
const remark = (text: string) => draft({ kind: 'remark', payload: { text } })

describe('when the database goes away', () => {
  it('says so plainly, and goes on when it is back', async () => {
    const job = await api.openJob()
    await api.cluster().pause()
    expectRefusal(await api.post(`/api/jobs/${job}/entries`, remark('lost?')), 503, 'database-down')
    expectRefusal(await api.ask('/api/today'), 503, 'database-down')
    expect((await api.ask('/api/health')).body).toMatchObject({ status: 'degraded', database: 'down' })
    await api.cluster().resume()
    expect((await api.ask('/api/health')).body).toMatchObject({ status: 'ok' })
    expect((await api.post(`/api/jobs/${job}/entries`, remark('not lost'))).status).toBe(201)
  }, 60_000)
})

describe('when the server is killed', () => {
  it('no acknowledged entry is lost, however it was caught', async () => {
    const job = await api.openJob()
    const acknowledged: string[] = []
    let going = true
    const writers = Array.from({ length: 4 }, async () => {
      while (going) {
        const entry = { ...remark('under way'), id: randomUUID() }
        const status = await api.post(`/api/jobs/${job}/entries`, entry).then(
          (a) => a.status,
          () => 0,
        )
        if (status === 201) acknowledged.push(entry.id)
        if (status === 0) return
      }
    })
    await new Promise((resolve) => setTimeout(resolve, 700))
    await api.program().kill()
    going = false
    await Promise.all(writers)
    await api.program().restart()
    const kept = new Set(
      ((await api.ask(`/api/jobs/${job}`)).body.entries as { id: string }[]).map((e) => e.id),
    )
    expect(acknowledged.length).toBeGreaterThan(5)
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([])
  }, 60_000)
})

describe('the database itself', () => {
  it('refuses to change or delete an entry, whoever asks', async () => {
    const knex = knexModule(knexOptions(api.program().databaseUrl))
    await expect(knex('entries').update({ kind: 'remark' })).rejects.toThrow(/never changed/)
    await expect(knex('entries').delete()).rejects.toThrow(/never changed/)
    await knex.destroy()
  })

  it('migrates up, down and up again', async () => {
    const url = new URL(api.program().databaseUrl)
    const admin = knexModule(knexOptions(url.href))
    await admin.raw('create database migrations')
    await admin.destroy()
    url.pathname = '/migrations'
    const knex = knexModule(knexOptions(url.href))
    const all = [
      '0001-logbook',
      '0002-frame',
      '0003-photographs',
      '0004-instruments',
      '0005-narrow-jobs',
      '0006-limits',
      '0007-history',
      '0008-come-back',
      '0009-stores',
      '0010-sections',
      '0011-belt-limits',
      '0012-spare-belts',
      '0013-belt-forecasts',
      '0014-flange-leaves',
      '0015-train-parts',
      '0016-practice',
      '0017-instrument-lines',
      '0018-job-search',
      '0019-people',
      '0020-search-words',
    ]
    expect(await migrateUp(knex)).toEqual(all)
    expect(await migrateUp(knex)).toEqual([])
    expect(await migrateDown(knex)).toEqual([...all].reverse())
    expect(await knex.schema.hasTable('entries')).toBe(false)
    expect(await migrateUp(knex)).toEqual(all)
    await knex.destroy()
  })
})
