import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { MACHINES } from '../../scripts/demo/works'
import { draft, lockOut, OPENING } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('register')
const [CP11] = MACHINES
const fresh = (tag: string) => ({ ...CP11, tag, id: randomUUID() })
const machineAt = async (tag: string) =>
  (await api.ask(`/api/machines/${tag}`)).body.machine as Record<string, unknown> & { version: number }

describe('the register of machines', () => {
  it('lists every machine with its last verdict and its open job', async () => {
    const list = (await api.ask('/api/machines')).body as unknown as {
      tag: string
      openJob: string | null
      lastClosed: { verdict: string } | null
    }[]
    expect(list.map((m) => m.tag)).toEqual([
      'CP-11',
      'CP-14',
      'CP-21',
      'CP-22',
      'CP-30',
      'CP-40',
      'CP-40G',
      'CP-40M',
      'GL-03',
      'GL-07',
      'KY-05',
      'KY-09',
      'PR-02',
      'PR-05',
    ])
    expect(list[0]).toMatchObject({ lastClosed: { verdict: 'in' } })
    expect(list[1]?.openJob).toMatch(/-/)
    // Proved by straightedge and feelers, which is all its maker asks.
    expect(list[5]).toMatchObject({ lastClosed: { verdict: 'in' } })
  })

  it('finds a machine by its tag in any case', async () => {
    expect((await machineAt('cp-11')).tag).toBe('CP-11')
    expectRefusal(await api.ask('/api/machines/XX-99'), 404)
  })

  it('adds a machine once, whatever the capitals of its tag', async () => {
    expect((await api.post('/api/machines', fresh('PR-06'))).status).toBe(201)
    expectRefusal(await api.post('/api/machines', fresh('PR-06')), 409, 'tag-taken')
    expectRefusal(await api.post('/api/machines', fresh('pr-06')), 409, 'tag-taken')
    expect((await machineAt('pr-06')).tag).toBe('PR-06')
  })

  it('retires a machine that has no open job: no new one is opened, and it leaves Today', async () => {
    const tag = 'RT-01'
    expect((await api.post('/api/machines', fresh(tag))).status).toBe(201)
    const change = async (retired: boolean) => {
      const { id: _, ...record } = await machineAt(tag)
      return api.send('PUT', `/api/machines/${tag}`, { ...record, retired })
    }
    const job = await api.openJob(tag)
    expectRefusal(await change(true), 409, 'job-open')
    const close = { signedBy: 'x', remarks: '', exception: 'not worth it', signed: null }
    expect((await api.log(job, { kind: 'job-closed', payload: close })).status).toBe(201)
    const outOfBand = async () =>
      ((await api.ask('/api/today')).body as { outOfBand: { tag: string }[] }).outOfBand.map((j) => j.tag)
    expect(await outOfBand()).toContain(tag)
    expect((await change(true)).status).toBe(200)
    expect(await outOfBand()).not.toContain(tag)
    const opening = { id: randomUUID(), machine: tag, opening: draft(OPENING) }
    expectRefusal(await api.post('/api/jobs', opening), 409, 'retired')
    expect((await api.ask(`/api/jobs/${job}`)).status).toBe(200)
    expect((await change(false)).status).toBe(200)
    expect(await outOfBand()).toContain(tag)
    expect((await change(true)).status).toBe(200)
  })

  it('tells the next job which leaves the ones before it put in', async () => {
    const tag = 'LV-01'
    expect((await api.post('/api/machines', fresh(tag))).status).toBe(201)
    const leavesOf = async (job: string) =>
      (await api.ask(`/api/jobs/${job}`)).body.leavesBefore as { thickness: number; count: number }[]
    const first = await api.openJob(tag)
    expect(await leavesOf(first)).toEqual([])
    for (const body of lockOut) await api.log(first, body)
    const under = (side: 'left' | 'right', putIn: readonly number[]) =>
      ({ machine: 'movable', pair: 'outboard', side, takenOut: [], putIn }) as const
    for (const changes of [[under('left', [5, 2])], [under('right', [5])]]) {
      const payload = { units: 'inch' as const, changes, side: [], remark: '' }
      expect((await api.log(first, { kind: 'move-made', payload })).status).toBe(201)
    }
    const close = { signedBy: 'x', remarks: '', exception: 'not measured', signed: null }
    expect((await api.log(first, { kind: 'job-closed', payload: close })).status).toBe(201)
    const second = await api.openJob(tag)
    const leaves = [...(await leavesOf(second))].sort((a, b) => a.thickness - b.thickness)
    expect(leaves).toEqual([
      { thickness: 0.0508, count: 1 },
      { thickness: 0.127, count: 2 },
    ])
    const end = { signedBy: 'x', remarks: '', exception: 'opened to look', signed: null }
    expect((await api.log(second, { kind: 'job-closed', payload: end })).status).toBe(201)
  })

  it('adds a belt drive, and says at the field what does not fit it', async () => {
    const belt = MACHINES.find((m) => m.drive === 'belt')
    expect((await api.post('/api/machines', { ...belt, tag: 'GL-04', id: randomUUID() })).status).toBe(201)
    expect(await machineAt('gl-04')).toMatchObject({ drive: 'belt', belts: { count: 5 } })
    const cases: [object, string][] = [
      [{ centreDistance: 100 }, 'centreDistance'],
      [{ belts: { kind: 'rope', section: 'B', count: 5 } }, 'belts.kind'],
      [{ limits: { angle: 60, tilt: null, offset: null, source: '' } }, 'limits.angle'],
      [{ sheaves: { motor: {}, driven: {} } }, 'sheaves.motor.pitchDiameter'],
    ]
    for (const [change, path] of cases) {
      const answer = await api.post('/api/machines', { ...belt, tag: 'GL-05', id: randomUUID(), ...change })
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toContain(path)
    }
  })

  it('answers a stale change with the row as it stands', async () => {
    await api.post('/api/machines', fresh('KY-05'))
    const { id: _, ...machine } = await machineAt('KY-05')
    expect((await api.send('PUT', '/api/machines/KY-05', { ...machine, rpm: 1000 })).body).toMatchObject({
      rpm: 1000,
      version: machine.version + 1,
    })
    const stale = await api.send('PUT', '/api/machines/KY-05', { ...machine, rpm: 1100 })
    expectRefusal(stale, 409, 'stale')
    expect(stale.body).toMatchObject({ error: { current: { rpm: 1000, version: machine.version + 1 } } })
  })

  it('lets only one of two changes at the same moment through', async () => {
    await api.post('/api/machines', fresh('PR-08'))
    const { id: _, ...machine } = await machineAt('PR-08')
    const both = await Promise.all(
      [1001, 1002].map((rpm) => api.send('PUT', '/api/machines/PR-08', { ...machine, rpm })),
    )
    expect(both.map((a) => a.status).sort()).toEqual([200, 409])
  })

  it('says at the field what does not fit', async () => {
    const feet = CP11?.drive === 'coupled' ? CP11.feet : { movable: [], stationary: [] }
    const [inboard, outboard] = feet.movable
    const withFeet = (movable: unknown[], stationary: unknown[] = feet.stationary) => ({
      feet: { movable, stationary },
    })
    const cases: [object, string][] = [
      [{ tag: '' }, 'tag'],
      [{ tag: '../etc' }, 'tag'],
      [{ rpm: 0 }, 'rpm'],
      [{ rpm: 'fast' }, 'rpm'],
      [{ units: 'cubit' }, 'units'],
      [{ name: 'x'.repeat(200) }, 'name'],
      [{ usual: { method: 'guess' } }, 'usual.method'],
      [withFeet([inboard]), 'feet.movable'],
      [
        withFeet(Array.from({ length: 7 }, (_, i) => ({ ...inboard, id: `p${i}`, x: 12 + i }))),
        'feet.movable',
      ],
      [withFeet([outboard, inboard]), 'feet.movable.1.x'],
      [withFeet([inboard, { ...outboard, x: 12 }]), 'feet.movable.1.x'],
      [withFeet([inboard, { ...outboard, id: 'inboard' }]), 'feet.movable.1.id'],
      [withFeet([inboard, { ...outboard, x: 3 }]), 'feet.movable.1.x'],
      [withFeet([inboard, outboard], [{ ...inboard, x: 13 }]), 'feet.stationary.0.x'],
      [
        withFeet([{ ...inboard, existing: { left: [-5], right: [] } }, outboard]),
        'feet.movable.0.existing.left.0',
      ],
      [withFeet([{ ...inboard, sidePlus: -1 }, outboard]), 'feet.movable.0.sidePlus'],
      [{ tolerance: { form: 'offset-slope', mode: 'plane', offset: -4, slope: 1 } }, 'tolerance.offset'],
    ]
    for (const [change, path] of cases) {
      const answer = await api.post('/api/machines', { ...fresh('NEW-1'), ...change })
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toContain(path)
    }
    expectRefusal(await api.ask('/api/machines/NEW-1'), 404)
  })
})

describe('the works', () => {
  it('knows its people, its stock and its pack rule', async () => {
    expect((await api.ask('/api/works')).body).toMatchObject({ name: 'Orrin Vale Tile Works', packLimit: 4 })
    const people = (await api.ask('/api/people')).body as unknown as { role: string }[]
    expect(new Set(people.map((p) => p.role))).toEqual(
      new Set(['millwright', 'apprentice', 'lead', 'planner']),
    )
  })

  it('shows today what needs a wrench', async () => {
    const today = (await api.ask('/api/today')).body as {
      open: { rows: { tag: string; stage: string }[]; next: string | null }
      recentlyClosed: unknown[]
      provisional: { tag: string }[]
      due: { job: { tag: string; summary: { due: { what: string } } } }[]
    }
    expect(today.open.rows.map((j) => [j.tag, j.stage])).toEqual([
      ['CP-40', 'train-plan'],
      ['PR-05', 'contact'],
      ['CP-30', 'plan'],
      ['GL-03', 'line-up'],
      ['CP-11', 'rough-in'],
      ['CP-21', 'plan'],
      ['CP-14', 'plan'],
      ['PR-02', 'feet'],
      ['KY-09', 'as-found'],
      ['GL-07', 'inspect'],
      ['CP-40M', 'look'],
      ['CP-40G', 'set-up'],
    ])
    expect(today.provisional.map((j) => j.tag)).toEqual(['CP-40M'])
    expect(today.due.map(({ job }) => [job.tag, job.summary.due.what])).toEqual([
      ['CP-40M', 'hot-check'],
      ['KY-05', 'regular'],
      ['PR-05', 'regular'],
      ['KY-09', 'other'],
      ['CP-11', 'regular'],
      ['GL-03', 'regular'],
    ])
    expect(today.open.next).toBeNull()
    // Five of the demo works and those closed above; it shows six.
    expect(today.recentlyClosed).toHaveLength(6)
  })
})
