import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { LIMIT_SETS } from '../../shared/limits/testLimits'
import { MACHINES } from '../../scripts/demo/works'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('limits')
const [CP11] = MACHINES
/** A table for a kind of coupling that no other test has. */
const table = (coupling: string, more: object = {}) => ({
  ...LIMIT_SETS[0],
  coupling,
  id: randomUUID(),
  ...more,
})
interface Kept {
  readonly id: string
  readonly coupling: string
  readonly inForce: boolean
  readonly version: number
}
const listed = async (coupling: string) =>
  ((await api.ask('/api/limits')).body as unknown as readonly Kept[]).filter((s) => s.coupling === coupling)

describe('tables of limits', () => {
  it('one of a kind is in force: a new one takes the place of the one before it', async () => {
    const [first, second] = [table('Kind A'), table('kind a ')]
    expect((await api.post('/api/limits', first)).status).toBe(201)
    expect((await api.post('/api/limits', second)).status).toBe(201)
    expect((await listed('Kind A'))[0]).toMatchObject({ inForce: false, version: 2 })
    expect((await listed('kind a '))[0]).toMatchObject({ inForce: true, version: 1 })
    expectRefusal(await api.post('/api/limits', first), 409, 'id-taken')
  })

  it('refuses nonsense at its field, a stale change with what it is now, and an unknown id', async () => {
    const set = table('Kind B')
    expect((await api.post('/api/limits', set)).status).toBe(201)
    const bad = await api.post('/api/limits', table('Kind B', { rows: [], units: 'feet' }))
    expectRefusal(bad, 422, 'bad-input')
    expect(issuePaths(bad)).toEqual(expect.arrayContaining(['units', 'rows']))
    const change = { ...set, name: 'Second', version: 1 }
    expect((await api.send('PUT', `/api/limits/${set.id}`, change)).status).toBe(200)
    expectRefusal(await api.send('PUT', `/api/limits/${set.id}`, change), 409, 'stale')
    expectRefusal(await api.send('PUT', `/api/limits/${randomUUID()}`, change), 404)
    expectRefusal(await api.send('PUT', '/api/limits/nothing', change), 404)
  })

  it('two in force at one moment are one in force', async () => {
    const sets = Array.from({ length: 4 }, () => table('Kind C'))
    const answers = await Promise.all(sets.map((s) => api.post('/api/limits', s)))
    expect(answers.every((a) => a.status === 201 || a.status === 409)).toBe(true)
    expect((await listed('Kind C')).filter((s) => s.inForce)).toHaveLength(1)
  })

  it('a job keeps the limits of its opening; the next one has today’s, and a signed verdict stays', async () => {
    const kind = 'Kind D'
    const tag = 'LM-01'
    const record = { ...CP11, tag, id: randomUUID(), couplingKind: kind }
    expect((await api.post('/api/machines', record)).status).toBe(201)
    const set = table(kind)
    expect((await api.post('/api/limits', set)).status).toBe(201)
    const job = await api.openJob(tag)
    const limitsOf = async (id: string) =>
      (
        (await api.ask(`/api/jobs/${id}`)).body as {
          machine: { limitSets?: { name: string; rows: { standard: { offset: number } }[] }[] }
        }
      ).machine.limitSets?.[0]
    expect((await limitsOf(job))?.rows[0]?.standard.offset).toBe(4)
    const rows = [
      { upTo: null, fine: set.rows![0]!.fine, standard: { offset: 1, slope: null, flexSlope: null } },
    ]
    expect((await api.send('PUT', `/api/limits/${set.id}`, { ...set, rows, version: 1 })).status).toBe(200)
    expect((await limitsOf(job))?.rows[0]?.standard.offset).toBe(4)
    const close = { signedBy: 'x', remarks: '', exception: 'nothing measured', signed: null }
    expect((await api.log(job, { kind: 'job-closed', payload: close })).status).toBe(201)
    const next = await api.openJob(tag)
    expect((await limitsOf(next))?.rows[0]?.standard.offset).toBe(1)
    expect((await limitsOf(job))?.rows[0]?.standard.offset).toBe(4)
  })
})
