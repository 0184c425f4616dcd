import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import type { StoresAnswer } from '../../shared/api/answers'
import type { MachineFields } from '../../shared/register/machine'
import { lockOut } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('flange')

const like = async (tag: string, change: (m: Record<string, unknown>) => object = (m) => m) => {
  const { machine } = (await api.ask(`/api/machines/${tag}`)).body as { machine: Record<string, unknown> }
  const own = `F-${randomUUID().slice(0, 8)}`
  const made = await api.post('/api/machines', {
    ...change({ ...machine, retired: false }),
    tag: own,
    id: randomUUID(),
  })
  return { own, made }
}
const flangeOf = async (tag: string) => {
  const { machine } = (await api.ask(`/api/machines/${tag}`)).body as { machine: MachineFields }
  if (machine.drive !== 'flange') throw new Error(machine.drive)
  return machine
}
const stockOf = async (thickness: number): Promise<number> => {
  const { lots } = (await api.ask('/api/stores')).body as unknown as StoresAnswer
  return lots.find((s) => s.units === 'metric' && s.thickness === thickness && s.kind === 'plain')!.now
}
const move = (changes: readonly object[], pushed: object | null = null) =>
  ({ kind: 'flange-moved', payload: { units: 'metric', changes, pushed, remark: '' } }) as EntryBody
const opened = async () => {
  const { own, made } = await like('CP-22')
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  const job = await api.openJob(own)
  for (const body of lockOut) expect((await api.log(job, body)).status).toBe(201)
  return { own, job }
}

describe('a motor on a flange over the wire', () => {
  it('takes its leaves from the stores, and the close writes them under its bolts', async () => {
    const { own, job } = await opened()
    const before = await stockOf(0.2)
    const shims = move([
      { bolt: '2', takenOut: [], putIn: [0.2, 0.1] },
      { bolt: '3', takenOut: [], putIn: [0.2] },
    ])
    expect((await api.log(job, shims)).status).toBe(201)
    expect(await stockOf(0.2)).toBe(before - 2)
    const felt: EntryBody = {
      kind: 'spigot-felt',
      payload: { units: 'metric', fit: 'tight', play: null, words: '' },
    }
    expect((await api.log(job, felt)).status).toBe(201)
    const closed = await api.log(job, {
      kind: 'job-closed',
      payload: {
        signedBy: 'Lead',
        remarks: '',
        exception: 'Not measured: the dials are at the maker’s.',
        due: null,
        signed: { verdict: 'unknown', foldVersion: FOLD_VERSION },
      },
    })
    expect(closed.status, JSON.stringify(closed.body)).toBe(201)
    const { flange } = await flangeOf(own)
    expect(flange.existing[1]?.at(-1)).toBe(0.1)
    expect(flange.existing[1]?.at(-2)).toBe(0.2)
    expect(flange.existing[2]?.at(-1)).toBe(0.2)
    expect(flange.spigot).toBe('tight')
    for (const paper of [
      'report.pdf?paper=a4&units=metric',
      'sheet.pdf?paper=letter&units=inch&filled=yes',
    ]) {
      const printed = await api.program().fetch(`/api/jobs/${job}/${paper}`)
      expect(printed.status).toBe(200)
      expect(printed.headers.get('content-type')).toBe('application/pdf')
    }
  })

  it('says what is wrong with a move, at its place', async () => {
    const { job } = await opened()
    const wrong = await api.log(job, move([{ bolt: '5', takenOut: [], putIn: [0.1] }]))
    expectRefusal(wrong, 422)
    expect(issuePaths(wrong)).toContain('payload.changes.0.bolt')
    expectRefusal(await api.log(job, move([])), 422)
    expectRefusal(await api.log(job, move([{ bolt: 'two', takenOut: [], putIn: [0.1] }])), 422)
    expectRefusal(
      await api.log(job, move([{ bolt: '1', takenOut: [], putIn: Array.from({ length: 21 }, () => 0.1) }])),
      422,
    )
    // A move of feet is another kind of job's.
    expectRefusal(
      await api.log(job, {
        kind: 'move-made',
        payload: { units: 'metric', changes: [], side: [], remark: '' },
      }),
      409,
    )
    await api.log(job, {
      kind: 'spigot-felt',
      payload: { units: 'metric', fit: 'tight', play: null, words: '' },
    })
    expectRefusal(await api.log(job, move([], { v: 0.1, h: 0 })), 409)
  })

  it.each([
    [
      (m: Record<string, unknown>) => ({ ...m, flange: { ...(m.flange as object), bolts: 2 } }),
      'flange.bolts',
    ],
    [
      (m: Record<string, unknown>) => ({ ...m, flange: { ...(m.flange as object), bolts: 25 } }),
      'flange.bolts',
    ],
    [
      (m: Record<string, unknown>) => ({ ...m, flange: { ...(m.flange as object), across: { v: 0, h: 3 } } }),
      'flange.across.v',
    ],
    [
      (m: Record<string, unknown>) => ({
        ...m,
        flange: { ...(m.flange as object), existing: [[], [], [], [], [0.1]] },
      }),
      'flange.existing',
    ],
    [
      (m: Record<string, unknown>) => ({
        ...m,
        tolerance: { form: 'speed-rule', mode: 'plane', grade: 'fine', spoolLength: 100 },
      }),
      'tolerance.spoolLength',
    ],
    [(m: Record<string, unknown>) => ({ ...m, usual: { method: 'foot-values' } }), 'usual.method'],
  ] as const)('a register that can’t be is refused at its field: %#', async (change, path) => {
    const { made } = await like('CP-22', change)
    expectRefusal(made, 422)
    expect(issuePaths(made)).toContain(path)
  })
})
