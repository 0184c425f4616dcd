import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { demoId } from '../../scripts/demo/works'
import type { SpareBeltsAnswer, StoresAnswer } from '../../shared/api/answers'
import type { Works } from '../../shared/register/works'
import { lockOut } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('spare_belts')
const belts = (more: object = {}) => ({
  id: randomUUID(),
  section: 'XB',
  construction: null,
  units: 'metric',
  length: 2478,
  together: 1,
  place: 'Shelf 4',
  counted: 8,
  low: 3,
  ...more,
})
const lotOf = async (id: string): Promise<SpareBeltsAnswer | undefined> =>
  ((await api.ask('/api/stores')).body as unknown as StoresAnswer).belts.find((b) => b.id === id)
const fitted = (lot: string, pieces: number): EntryBody => ({
  kind: 'belts-fitted',
  payload: { belts: 'new', units: 'metric', length: 2478, matched: null, spares: { lot, pieces }, words: '' },
})
const onGlazeMill = async () => {
  const { machine } = (await api.ask('/api/machines/GL-03')).body as { machine: object }
  const tag = `B-${randomUUID().slice(0, 8)}`
  expect((await api.post('/api/machines', { ...machine, tag, id: randomUUID() })).status).toBe(201)
  const job = await api.openJob(tag)
  for (const body of lockOut) expect((await api.log(job, body)).status).toBe(201)
  return job
}

describe('spare belts of the stores', () => {
  it('go down by what a job lays on; the same belts laid on again take none', async () => {
    const lot = belts()
    expect((await api.post('/api/stores/belts', lot)).status).toBe(201)
    const job = await onGlazeMill()
    expect((await api.log(job, fitted(lot.id, 6))).status).toBe(201)
    expect(await lotOf(lot.id)).toMatchObject({ now: 2, isLow: true })
    const works = (await api.ask('/api/works')).body as unknown as Works
    expect(works.spareBelts?.find((b) => b.lot.id === lot.id)?.now).toBe(2)
    const same = { belts: 'same' as const, units: 'metric' as const, length: null, matched: null, words: '' }
    expect((await api.log(job, { kind: 'belts-fitted', payload: same })).status).toBe(201)
    expect(await lotOf(lot.id)).toMatchObject({ now: 2 })
  })

  it('a count rules from then on, with what was expected beside it; sent twice it is one', async () => {
    const lot = belts({ length: 2000 })
    expect((await api.post('/api/stores/belts', lot)).status).toBe(201)
    const job = await onGlazeMill()
    expect((await api.log(job, fitted(lot.id, 5))).status).toBe(201)
    const count = { id: randomUUID(), counted: 4, author: demoId('lead'), version: 1 }
    expect((await api.post(`/api/stores/belts/${lot.id}/counts`, count)).status).toBe(200)
    expect((await api.post(`/api/stores/belts/${lot.id}/counts`, count)).status).toBe(200)
    expect(await lotOf(lot.id)).toMatchObject({ now: 4, version: 2, lastCount: { counted: 4, expected: 3 } })
    const late = { ...count, id: randomUUID() }
    expectRefusal(await api.post(`/api/stores/belts/${lot.id}/counts`, late), 409, 'stale')
    expectRefusal(await api.post('/api/stores/belts/nothing/counts', late), 404)
  })

  it('are put in once at one place, changed against their version, and taken out of use', async () => {
    const lot = belts({ together: 5, construction: 'plain' })
    expect((await api.post('/api/stores/belts', lot)).status).toBe(201)
    expectRefusal(await api.post('/api/stores/belts', lot), 409, 'id-taken')
    const twin = { ...lot, id: randomUUID(), section: 'xb', place: 'SHELF 4' }
    expectRefusal(await api.post('/api/stores/belts', twin), 409, 'lot-is-there')
    expect((await api.post('/api/stores/belts', { ...twin, together: 3 })).status).toBe(201)
    const change = { place: 'Stores', low: 1, retired: false, version: 1 }
    expect((await api.send('PUT', `/api/stores/belts/${lot.id}`, change)).status).toBe(200)
    expectRefusal(await api.send('PUT', `/api/stores/belts/${lot.id}`, change), 409, 'stale')
    const gone = { ...change, retired: true, version: 2 }
    expect((await api.send('PUT', `/api/stores/belts/${lot.id}`, gone)).status).toBe(200)
    expect(await lotOf(lot.id)).toBeUndefined()
  })

  it('nonsense is refused at its field', async () => {
    const bad = await api.post(
      '/api/stores/belts',
      belts({ length: 0, together: 0, counted: 1.5, section: ' ' }),
    )
    expectRefusal(bad, 422, 'bad-input')
    expect(issuePaths(bad)).toEqual(expect.arrayContaining(['length', 'together', 'counted', 'section']))
    const job = await onGlazeMill()
    expectRefusal(await api.log(job, fitted('the shelf', 5)), 422)
  })
})
