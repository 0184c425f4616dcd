import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { TestTrain, through } from '../../core/jobs/testTrain'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import { SAFETY_POINTS } from '../../core/stages/makeSafe/entries'
import { PAN_MILL_LINE } from '../../scripts/demo/line'
import { about } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('train')

type Fields = Record<string, unknown>
const register = async (change: (m: Fields) => object = (m) => m) => {
  const own = `L-${randomUUID().slice(0, 8)}`
  const record = { ...PAN_MILL_LINE, tag: own, id: randomUUID() }
  return { own, made: await api.post('/api/machines', change(record as unknown as Fields)) }
}
const opened = async () => {
  const { own, made } = await register()
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  return { own, job: await api.openJob(own) }
}
const lockOut = SAFETY_POINTS.map((point): EntryBody => ({
  kind: 'safety-confirmed',
  payload: { point, permit: '' },
}))
const line = new TestTrain(
  { ...PAN_MILL_LINE, stock: [], packLimit: 5 },
  {
    m2: through(0, [-0.5, 0.2], 1060, [-0.2, 0]),
    m3: through(1060, [0, 0], 1750, [0.02, 0]),
  },
)
line.open(1475)
const reading = (id: string): EntryBody => {
  const { kind, payload } = line.readAt(id)
  return { kind, payload } as EntryBody
}
const setUp = (id: string): EntryBody => ({ kind: 'set-up', payload: line.setUpPayload(id) })
const shim = (putIn: number[]): EntryBody => ({
  kind: 'move-made',
  payload: {
    units: 'metric',
    changes: (['left', 'right'] as const).map((side) => ({
      machine: 'movable',
      pair: 'first',
      side,
      takenOut: [],
      putIn,
    })),
    side: [],
    remark: '',
  },
})

describe('a line over the wire', () => {
  it('is registered whole or not at all: every fault at its own box', async () => {
    expect((await register()).made.status).toBe(201)
    const cases: readonly [(m: typeof PAN_MILL_LINE) => object, string][] = [
      [(m) => ({ ...m, machines: m.machines.slice(0, 2) }), 'machines'],
      [(m) => ({ ...m, couplings: m.couplings.slice(0, 1) }), 'couplings'],
      [(m) => ({ ...m, couplings: m.couplings.map((c) => ({ ...c, x: -500 })) }), 'couplings.0.x'],
      [(m) => ({ ...m, machines: m.machines.map((u) => ({ ...u, id: 'm1' })) }), 'machines.1.id'],
      [(m) => ({ ...m, couplings: m.couplings.map((c) => ({ ...c, rpm: -1 })) }), 'couplings.0.rpm'],
    ]
    for (const [change, path] of cases) {
      const { made } = await register((m) => change(m as unknown as typeof PAN_MILL_LINE))
      expectRefusal(made, 422)
      expect(issuePaths(made)).toContain(path)
    }
  })

  it('takes readings of its couplings, shims under its machines, and nothing of parts it has not', async () => {
    const { job } = await opened()
    for (const body of lockOut) expect((await api.log(job, body)).status).toBe(201)
    expectRefusal(await api.log(job, setUp('c1')), 422)
    expectRefusal(await api.log(job, about('c9', setUp('c1'))), 422)
    expectRefusal(await api.log(job, { ...setUp('c1'), part: 7 } as never), 422)
    for (const id of ['c1', 'c2']) expect((await api.log(job, about(id, setUp(id)))).status).toBe(201)
    expectRefusal(await api.log(job, about('m2', reading('c1'))), 422)
    expectRefusal(await api.log(job, about('m1', shim([0.2]))), 409)
    for (const id of ['c1', 'c1', 'c2', 'c2'])
      expect((await api.log(job, about(id, reading(id)))).status).toBe(201)
    const plan = {
      kind: 'train-plan-chosen',
      payload: { units: 'metric', option: 'closest', changes: [], side: [], sets: { c1: ['nonsense'] } },
    } as never
    expectRefusal(await api.log(job, plan), 422)
    expect((await api.log(job, about('m2', shim([0.4])))).status).toBe(201)

    const { body } = await api.ask(`/api/jobs/${job}`)
    const { entries } = body as { entries: { kind: string; part?: string }[] }
    expect(entries.filter((e) => e.kind === 'readings-taken').map((e) => e.part)).toEqual([
      'c1',
      'c1',
      'c2',
      'c2',
    ])
    expect(entries.find((e) => e.kind === 'move-made')?.part).toBe('m2')
  })

  it('a closed job leaves its shims and its growth in the register, keeps its figures, and prints', async () => {
    const { own, job } = await opened()
    for (const body of lockOut) await api.log(job, body)
    for (const id of ['c1', 'c2']) await api.log(job, about(id, setUp(id)))
    for (const id of ['c1', 'c1', 'c2', 'c2']) await api.log(job, about(id, reading(id)))
    expect((await api.log(job, about('m2', shim([0.2])))).status).toBe(201)
    const grows: EntryBody = {
      kind: 'growth-set',
      payload: {
        units: 'metric',
        machines: [
          {
            machine: 'm2',
            feet: ['first', 'second'].map((pair) => ({ pair, heat: null, rise: 0.2, side: 0 })),
          },
        ],
        source: 'sheet',
      },
    }
    expect((await api.log(job, grows)).status).toBe(201)
    for (const id of ['c1', 'c1', 'c2', 'c2']) await api.log(job, about(id, reading(id)))
    const closed = await api.log(job, {
      kind: 'job-closed',
      payload: {
        signedBy: 'Somebody',
        remarks: '',
        exception: 'left for the next stop',
        due: null,
        signed: { verdict: 'out', foldVersion: FOLD_VERSION },
      },
    })
    expect(closed.status, JSON.stringify(closed.body)).toBe(201)
    const { machine } = (await api.ask(`/api/machines/${own}`)).body as {
      machine: typeof PAN_MILL_LINE
    }
    expect(machine.machines[1]?.feet[0]?.existing.left).toEqual([2, 0.2, 0.2])
    expect(machine.growth?.machines[0]?.machine).toBe('m2')
    const { jobs } = (await api.ask(`/api/machines/${own}/history`)).body as {
      jobs: { figures: { name: string }[]; moved: { unit: string | null; raised: { left: number } }[] }[]
    }
    expect(jobs[0]?.figures.map((f) => f.name)).toContain('c1:offset.v')
    expect(jobs[0]?.moved).toMatchObject([{ unit: 'm2', raised: { left: 0.2 } }])
    for (const path of ['report.pdf?paper=a4', 'sheet.pdf?paper=a4&part=c2', 'sheet.pdf?paper=letter']) {
      const printed = await api.program().fetch(`/api/jobs/${job}/${path}`)
      expect(printed.status, path).toBe(200)
    }
  })

  it('sets each coupling up as the job before had it', async () => {
    const { own, job } = await opened()
    for (const body of lockOut) await api.log(job, body)
    await api.log(job, about('c2', setUp('c2')))
    const shut = await api.log(job, {
      kind: 'job-closed',
      payload: {
        signedBy: 'Somebody',
        remarks: '',
        exception: 'called away',
        due: null,
        signed: { verdict: 'unknown', foldVersion: FOLD_VERSION },
      },
    })
    expect(shut.status, JSON.stringify(shut.body)).toBe(201)
    const next = await api.openJob(own)
    const { previous } = (await api.ask(`/api/jobs/${next}`)).body as {
      previous: { setUp: unknown; parts: Record<string, { how: { method: string } }> }
    }
    expect(previous.setUp).toBeNull()
    expect(Object.keys(previous.parts)).toEqual(['c2'])
    expect(previous.parts.c2?.how.method).toBe('rim-face')
  })
})
