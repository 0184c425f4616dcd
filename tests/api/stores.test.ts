import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { demoId } from '../../scripts/demo/works'
import type { LotAnswer, StoresAnswer } from '../../shared/api/answers'
import type { Works } from '../../shared/register/works'
import { AUTHOR, feetSit, hubsClose, lockOut, LOW_MOTOR, setUp } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('stores')
const stores = async () => (await api.ask('/api/stores')).body as unknown as StoresAnswer
const lotOf = async (thickness: number, more: Partial<LotAnswer> = {}): Promise<LotAnswer> => {
  const lot = (await stores()).lots.find(
    (l) =>
      l.units === 'inch' &&
      l.thickness === thickness &&
      l.kind === 'plain' &&
      Object.entries(more).every(([k, v]) => l[k as keyof LotAnswer] === v),
  )
  if (!lot) throw new Error(`no ${String(thickness)}`)
  return lot
}
const changes = (putIn: readonly number[], takenOut: readonly number[] = []) => ({
  units: 'inch' as const,
  changes: [{ machine: 'movable' as const, pair: 'inboard', side: 'left' as const, takenOut, putIn }],
  side: [],
})
const move = (putIn: readonly number[], takenOut: readonly number[] = []): EntryBody => ({
  kind: 'move-made',
  payload: { ...changes(putIn, takenOut), remark: '' },
})
/** A job on a machine of its own that is measured, in the stores' own hall. */
const measured = async () => {
  const { machine } = (await api.ask('/api/machines/CP-11')).body as { machine: object }
  const tag = `T-${randomUUID().slice(0, 8)}`
  expect((await api.post('/api/machines', { ...machine, tag, id: randomUUID() })).status).toBe(201)
  const job = await api.openJob(tag)
  for (const body of [...lockOut, feetSit, hubsClose, setUp, LOW_MOTOR, LOW_MOTOR])
    expect((await api.log(job, body)).status).toBe(201)
  return job
}

describe('shims of the stores', () => {
  it('are reserved by a plan, taken by its move, and free again when the plan is gone', async () => {
    const before = await lotOf(3)
    const job = await measured()
    const plan: EntryBody = {
      kind: 'plan-chosen',
      payload: { ...changes([3, 3]), option: 'own', sets: null },
    }
    expect((await api.log(job, plan)).status).toBe(201)
    expect(await lotOf(3)).toMatchObject({
      now: before.now,
      reserved: before.reserved + 2,
      free: before.free - 2,
    })
    expect((await stores()).wants.find((p) => p.job === job)?.taken).toEqual([3, 3])
    // Another job is offered what is left.
    const works = (await api.ask('/api/works')).body as unknown as Works
    expect(works.stock.find((s) => s.units === 'inch' && s.thickness === 3)?.count).toBe(before.free - 2)
    expect((await api.log(job, move([3]))).status).toBe(201)
    expect(await lotOf(3)).toMatchObject({
      now: before.now - 1,
      reserved: before.reserved,
      free: before.free - 1,
    })
  })

  it('come back from under a foot, and a correction counts once', async () => {
    const job = await measured()
    const [one, ten] = [await lotOf(1), await lotOf(10)]
    const wrong = await api.log(job, move([1, 1, 1], [10]))
    expect(wrong.status).toBe(201)
    expect((await lotOf(1)).now).toBe(one.now - 3)
    expect((await lotOf(10)).now).toBe(ten.now + 1)
    const entry = (wrong.body.entry as { id: string }).id
    const right = await api.log(job, move([1]), { supersedes: { entry, reason: 'Two too many.' } })
    expect(right.status).toBe(201)
    expect((await lotOf(1)).now).toBe(one.now - 1)
    expect((await lotOf(10)).now).toBe(ten.now)
  })

  it('are corrected by a count, which has everything before it in it, corrections too', async () => {
    const job = await measured()
    const wrong = await api.log(job, move([2, 2]))
    const lot = await lotOf(2)
    const count = { id: randomUUID(), counted: 17, author: demoId('lead'), version: lot.version }
    expect((await api.post(`/api/stores/lots/${lot.id}/counts`, count)).status).toBe(200)
    const counted = await lotOf(2)
    expect(counted).toMatchObject({
      now: 17,
      counted: 17,
      lastCount: { counted: 17, expected: lot.now, by: 'Maintenance lead' },
    })
    // Sent again it changes nothing; another by the old version is stale.
    expect((await api.post(`/api/stores/lots/${lot.id}/counts`, count)).status).toBe(200)
    expect((await lotOf(2)).version).toBe(counted.version)
    const late = { ...count, id: randomUUID() }
    expectRefusal(await api.post(`/api/stores/lots/${lot.id}/counts`, late), 409, 'stale')
    // The move before the count is corrected behind it: what lies there was counted already.
    const entry = (wrong.body.entry as { id: string }).id
    const right = await api.log(job, move([2]), { supersedes: { entry, reason: 'One too many.' } })
    expect(right.status).toBe(201)
    expect((await lotOf(2)).now).toBe(17)
  })

  it('are put in once at one place, changed against their version, and taken out of use', async () => {
    const fresh = {
      id: randomUUID(),
      units: 'inch',
      thickness: 15,
      kind: 'plain',
      layer: null,
      size: 'C',
      place: 'Clay preparation hall',
      counted: 6,
      low: 2,
    }
    expect((await api.post('/api/stores/lots', fresh)).status).toBe(201)
    expectRefusal(await api.post('/api/stores/lots', fresh), 409, 'id-taken')
    const twin = { ...fresh, id: randomUUID(), place: 'clay preparation HALL' }
    expectRefusal(await api.post('/api/stores/lots', twin), 409, 'lot-is-there')
    const change = { size: 'C', place: 'Stores', low: 8, retired: false, version: 1 }
    expect((await api.send('PUT', `/api/stores/lots/${fresh.id}`, change)).status).toBe(200)
    expect(await lotOf(15)).toMatchObject({ place: 'Stores', isLow: true, version: 2 })
    expectRefusal(await api.send('PUT', `/api/stores/lots/${fresh.id}`, change), 409, 'stale')
    const gone = { ...change, retired: true, version: 2 }
    expect((await api.send('PUT', `/api/stores/lots/${fresh.id}`, gone)).status).toBe(200)
    expect((await stores()).lots.some((l) => l.id === fresh.id)).toBe(false)
    const count = { id: randomUUID(), counted: 1, author: demoId('lead'), version: 3 }
    expectRefusal(await api.post(`/api/stores/lots/${fresh.id}/counts`, count), 404)
  })

  it('refuse what no shim is, each at its field', async () => {
    const lot = {
      id: randomUUID(),
      units: 'inch',
      thickness: 5,
      kind: 'laminated',
      layer: 1,
      size: '',
      place: 'x',
      counted: 1,
      low: 0,
    }
    const cases: readonly [object, string][] = [
      [{ layer: null }, 'layer'],
      [{ kind: 'plain' }, 'layer'],
      [{ layer: 6 }, 'layer'],
      [{ thickness: 0 }, 'thickness'],
      [{ counted: -1 }, 'counted'],
      [{ low: 1.5 }, 'low'],
      [{ kind: 'brass' }, 'kind'],
    ]
    for (const [more, path] of cases) {
      const answer = await api.post('/api/stores/lots', { ...lot, ...more })
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toContain(path)
    }
    const known = await lotOf(5)
    const count = { id: randomUUID(), counted: 4, author: randomUUID(), version: known.version }
    expectRefusal(await api.post(`/api/stores/lots/${known.id}/counts`, count), 422)
    const own = { ...count, author: AUTHOR }
    expectRefusal(await api.post('/api/stores/lots/none/counts', own), 404)
  })
})

describe('instruments of the stores', () => {
  const dial = { name: 'Dial 4', kind: 'dial', due: '2027-03-01', retired: false }

  it('are added, changed and taken out of use; a job keeps what it took', async () => {
    const id = randomUUID()
    expect((await api.post('/api/stores/instruments', { ...dial, id })).status).toBe(201)
    expectRefusal(await api.post('/api/stores/instruments', { ...dial, id }), 409, 'id-taken')
    const job = await api.openJob('CP-11')
    const kit: EntryBody = {
      kind: 'tools-taken',
      payload: { tools: ['dials'], instruments: [{ id, name: dial.name, due: dial.due }], words: '' },
    }
    expect((await api.log(job, kit)).status).toBe(201)
    expect((await stores()).instruments.find((i) => i.id === id)?.jobs).toBe(1)
    const gone = { ...dial, retired: true, version: 1 }
    expect((await api.send('PUT', `/api/stores/instruments/${id}`, gone)).status).toBe(200)
    expectRefusal(await api.send('PUT', `/api/stores/instruments/${id}`, gone), 409, 'stale')
    expect((await stores()).instruments.some((i) => i.id === id)).toBe(false)
    const works = (await api.ask('/api/works')).body as unknown as Works
    expect(works.instruments.some((i) => i.id === id)).toBe(false)
    const { entries } = (await api.ask(`/api/jobs/${job}`)).body as { entries: { kind: string }[] }
    expect(entries.some((e) => e.kind === 'tools-taken')).toBe(true)
  })

  it('refuse a day that is none', async () => {
    const bad = { ...dial, id: randomUUID(), due: '2027-02-30' }
    expect(issuePaths(await api.post('/api/stores/instruments', bad))).toEqual(['due'])
    expectRefusal(await api.send('PUT', '/api/stores/instruments/x', { ...dial, version: 1 }), 404)
  })
})
