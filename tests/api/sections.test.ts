import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { MACHINES } from '../../scripts/demo/works'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('sections')
const section = (name: string, more: object = {}) => ({
  id: randomUUID(),
  section: name,
  construction: null,
  source: 'Orrin Vale chart 4',
  units: 'metric',
  topWidth: 17,
  height: 11,
  mass: 0.19,
  smallestSheave: 100,
  stiffness: null,
  spanOver: 64,
  rows: [{ from: 100, to: null, speed: null, force: { new: [30, 35], 'run-in': [22, 27] } }],
  inUse: true,
  ...more,
})
interface Kept {
  readonly id: string
  readonly section: string
  readonly inUse: boolean
  readonly version: number
}
const listed = async (name: string) =>
  ((await api.ask('/api/sections')).body as unknown as readonly Kept[]).filter(
    (s) => s.section.toLowerCase() === name,
  )

describe('belt sections', () => {
  it('one of a name and construction is in use: a new one takes the place of the one before it', async () => {
    const [first, second] = [section('Xa'), section('xA')]
    expect((await api.post('/api/sections', first)).status).toBe(201)
    expect((await api.post('/api/sections', second)).status).toBe(201)
    expect((await api.post('/api/sections', section('Xa', { construction: 'plain' }))).status).toBe(201)
    expect((await listed('xa')).filter((s) => s.inUse)).toHaveLength(2)
    expectRefusal(await api.post('/api/sections', first), 409, 'id-taken')
  })

  it('refuses nonsense at its field, a stale change, and an unknown id', async () => {
    const one = section('Xb')
    expect((await api.post('/api/sections', one)).status).toBe(201)
    const row = { from: 100, to: 90, speed: null, force: { new: [35, 30], 'run-in': null } }
    const bad = await api.post('/api/sections', section('Xb', { mass: -1, rows: [row] }))
    expectRefusal(bad, 422, 'bad-input')
    expect(issuePaths(bad)).toEqual(expect.arrayContaining(['mass', 'rows.0.force.new.1']))
    const change = { ...one, mass: 0.2, version: 1 }
    expect((await api.send('PUT', `/api/sections/${one.id}`, change)).status).toBe(200)
    expectRefusal(await api.send('PUT', `/api/sections/${one.id}`, change), 409, 'stale')
    expectRefusal(await api.send('PUT', `/api/sections/${randomUUID()}`, change), 404)
    expectRefusal(await api.send('PUT', '/api/sections/nothing', change), 404)
  })

  it('a job keeps the section of its opening; one in another construction is not its own', async () => {
    const mill = MACHINES.find((m) => m.tag === 'GL-03')
    if (mill?.drive !== 'belt') throw new Error('no glaze mill')
    const record = { ...mill, tag: 'SE-01', id: randomUUID(), belts: { ...mill.belts, section: 'Xc' } }
    expect((await api.post('/api/machines', record)).status).toBe(201)
    const sectionOf = async (job: string) =>
      ((await api.ask(`/api/jobs/${job}`)).body as { machine: { section?: { mass: number } } }).machine
        .section
    const notched = section('Xc', { construction: 'notched' })
    expect((await api.post('/api/sections', notched)).status).toBe(201)
    const first = await api.openJob('SE-01')
    expect(await sectionOf(first)).toBeUndefined()
    const any = section('xc', { mass: 0.21 })
    expect((await api.post('/api/sections', any)).status).toBe(201)
    const close = { signedBy: 'x', remarks: '', exception: 'nothing measured', signed: null }
    expect((await api.log(first, { kind: 'job-closed', payload: close })).status).toBe(201)
    const second = await api.openJob('SE-01')
    expect((await sectionOf(second))?.mass).toBe(0.21)
    const change = { ...any, mass: 0.3, version: 1 }
    expect((await api.send('PUT', `/api/sections/${any.id}`, change)).status).toBe(200)
    expect((await sectionOf(second))?.mass).toBe(0.21)
  })
})
