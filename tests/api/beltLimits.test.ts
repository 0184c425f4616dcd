import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { MACHINES } from '../../scripts/demo/works'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('belt_limits')
const limits = (kind: string | null, more: object = {}) => ({
  id: randomUUID(),
  kind,
  source: 'Orrin Vale sheet 9',
  units: 'inch',
  offset: { by: 'groove', value: 0.0625 },
  angle: null,
  tilt: null,
  spread: null,
  serviceFactor: null,
  ratioAt180: null,
  factors: { new: null, 'run-in': null },
  gauge: null,
  fitting: null,
  takeUp: null,
  inForce: true,
  ...more,
})
interface Kept {
  readonly kind: string | null
  readonly inForce: boolean
}
const inForce = async (kind: string | null) =>
  ((await api.ask('/api/belt-limits')).body as unknown as readonly Kept[]).filter(
    (l) => l.inForce && l.kind === kind,
  )

describe('limits of belt drives', () => {
  it('one of a kind of belt is in force: a new one takes the place of the one before it', async () => {
    const [first, second] = [limits('toothed'), limits('toothed')]
    expect((await api.post('/api/belt-limits', first)).status).toBe(201)
    expect((await api.post('/api/belt-limits', second)).status).toBe(201)
    expect(await inForce('toothed')).toMatchObject([{ id: second.id }])
    expectRefusal(await api.post('/api/belt-limits', first), 409, 'id-taken')
  })

  it('refuses nonsense at its field, a stale change, and an unknown id', async () => {
    const bad = await api.post(
      '/api/belt-limits',
      limits('ribbed', { angle: -1, factors: { new: [1.5, 1.3], 'run-in': null }, ratioAt180: 1 }),
    )
    expectRefusal(bad, 422, 'bad-input')
    expect(issuePaths(bad)).toEqual(expect.arrayContaining(['angle', 'factors.new.1', 'ratioAt180']))
    expectRefusal(await api.post('/api/belt-limits', limits('ribbed', { offset: null })), 422, 'bad-input')
    expectRefusal(await api.post('/api/belt-limits', limits('rope')), 422, 'bad-input')
    const one = limits('ribbed')
    expect((await api.post('/api/belt-limits', one)).status).toBe(201)
    const change = { ...one, angle: 0.2, version: 1 }
    expect((await api.send('PUT', `/api/belt-limits/${one.id}`, change)).status).toBe(200)
    expectRefusal(await api.send('PUT', `/api/belt-limits/${one.id}`, change), 409, 'stale')
    expectRefusal(await api.send('PUT', `/api/belt-limits/${randomUUID()}`, change), 404)
    expectRefusal(await api.send('PUT', '/api/belt-limits/nothing', change), 404)
  })

  it('a job keeps those of its opening, its own kind of belt before every kind', async () => {
    const mill = MACHINES.find((m) => m.tag === 'GL-03')
    if (mill?.drive !== 'belt') throw new Error('no glaze mill')
    const record = { ...mill, tag: 'BL-01', id: randomUUID(), belts: { ...mill.belts, kind: 'joined' } }
    expect((await api.post('/api/machines', record)).status).toBe(201)
    const [own, any] = [limits('joined'), limits(null, { offset: null, spread: 7 })]
    expect((await api.post('/api/belt-limits', own)).status).toBe(201)
    expect((await api.post('/api/belt-limits', any)).status).toBe(201)
    const job = await api.openJob('BL-01')
    const kept = async () =>
      (
        (await api.ask(`/api/jobs/${job}`)).body as {
          machine: { beltLimits?: { id: string; angle: number }[] }
        }
      ).machine.beltLimits
    expect((await kept())?.map((l) => l.id)).toEqual([own.id, any.id])
    const change = { ...own, angle: 0.1, version: 1 }
    expect((await api.send('PUT', `/api/belt-limits/${own.id}`, change)).status).toBe(200)
    expect((await kept())?.[0]?.angle).toBeNull()
  })
})
