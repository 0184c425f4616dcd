import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { DRUM_SET_UP } from '../../core/jobs/testDrum'
import type { EntryBody } from '../../core/logbook/entry'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import { LOADED_SAFETY_POINTS } from '../../core/stages/makeSafe/entries'
import type { MachineFields } from '../../shared/register/machine'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('drum')

type Fields = Record<string, unknown>
const like = async (change: (m: Fields) => object = (m) => m) => {
  const { machine } = (await api.ask('/api/machines/CP-30')).body as { machine: Fields }
  const own = `D-${randomUUID().slice(0, 8)}`
  const made = await api.post('/api/machines', {
    ...change({ ...machine, retired: false }),
    tag: own,
    id: randomUUID(),
  })
  return { own, made }
}
const untaped = (m: Fields) => {
  const feet = m.feet as { movable: object[]; stationary: object[] }
  return { ...m, feet: { ...feet, movable: feet.movable.map((f) => ({ ...f, x: null })) } }
}
const opened = async (change?: (m: Fields) => object) => {
  const { own, made } = await like(change)
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  return { own, job: await api.openJob(own) }
}
const lockOut = LOADED_SAFETY_POINTS.map((point): EntryBody => ({
  kind: 'safety-confirmed',
  payload: { point, permit: '' },
}))
const setUp: EntryBody = { kind: 'set-up', payload: DRUM_SET_UP }

describe('a motor at a drum over the wire', () => {
  it('takes no hand before load and brake are made safe', async () => {
    const { job } = await opened()
    for (const body of lockOut.filter((_, i) => i !== 2)) await api.log(job, body)
    const early = await api.log(job, setUp)
    expectRefusal(early, 409)
    expect((await api.log(job, lockOut[2]!)).status).toBe(201)
    expect((await api.log(job, setUp)).status).toBe(201)
  })

  it('asks no other machine for a brake', async () => {
    const { machine } = (await api.ask('/api/machines/CP-11')).body as { machine: Fields }
    const own = `C-${randomUUID().slice(0, 8)}`
    await api.post('/api/machines', { ...machine, tag: own, id: randomUUID(), retired: false })
    const refused = await api.log(await api.openJob(own), lockOut[2]!)
    expectRefusal(refused, 422)
    expect(issuePaths(refused)).toContain('payload.point')
  })

  it('writes the first tape and the shims into the register as it closes, and prints', async () => {
    const { own, job } = await opened(untaped)
    for (const body of [...lockOut, setUp]) expect((await api.log(job, body)).status).toBe(201)
    const moved = await api.log(job, {
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [{ machine: 'movable', pair: 'outboard', side: 'left', takenOut: [], putIn: [2] }],
        side: [],
        remark: '',
      },
    })
    expect(moved.status, JSON.stringify(moved.body)).toBe(201)
    const closed = await api.log(job, {
      kind: 'job-closed',
      payload: {
        signedBy: 'Lead',
        remarks: '',
        exception: 'Not measured: the rods are at another winch.',
        due: null,
        signed: { verdict: 'unknown', foldVersion: FOLD_VERSION },
      },
    })
    expect(closed.status, JSON.stringify(closed.body)).toBe(201)
    const { machine } = (await api.ask(`/api/machines/${own}`)).body as { machine: MachineFields }
    if (machine.drive !== 'drum') throw new Error(machine.drive)
    expect(machine.feet.movable.map((f) => f.x)).toEqual([10, 24])
    expect(machine.feet.movable[1]?.existing.left.at(-1)).toBe(2)
    for (const paper of [
      'report.pdf?paper=a4&units=metric',
      'sheet.pdf?paper=letter&units=inch&filled=yes',
    ]) {
      const printed = await api.program().fetch(`/api/jobs/${job}/${paper}`)
      expect(printed.status).toBe(200)
      expect(printed.headers.get('content-type')).toBe('application/pdf')
    }
  })

  it.each([
    [(m: Fields) => ({ ...m, drum: { ...(m.drum as object), load: 'nothing' } }), 'drum.load'],
    [(m: Fields) => ({ ...m, drum: { ...(m.drum as object), runout: 0 } }), 'drum.runout'],
    [
      (m: Fields) => {
        const open = { side: [null, null], top: [null, null] }
        return {
          ...m,
          drum: { ...(m.drum as object), windows: { rim: { ...open, side: [2, -2] }, face: open } },
        }
      },
      'drum.windows.rim.side',
    ],
    [(m: Fields) => ({ ...m, usual: { ...(m.usual as object), rimPlane: -1 } }), 'usual.method'],
    [
      (m: Fields) => {
        const feet = m.feet as { movable: object[]; stationary: object[] }
        return {
          ...m,
          feet: { ...feet, movable: feet.movable.map((f, i) => ({ ...f, x: i === 0 ? null : 20 })) },
        }
      },
      'feet.movable.1.x',
    ],
    [
      (m: Fields) => ({ ...m, tolerance: { form: 'flex-plane', mode: 'plane', slope: 1, spoolLength: 9 } }),
      'tolerance.spoolLength',
    ],
  ] as const)('a register that can’t be is refused at its field: %#', async (change, path) => {
    const { made } = await like(change)
    expectRefusal(made, 422)
    expect(issuePaths(made)).toContain(path)
  })
})
