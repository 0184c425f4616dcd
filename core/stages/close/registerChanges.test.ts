import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../../logbook/entry'
import { lift, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import { registerChanges } from './registerChanges'

const BOLTS = {
  units: 'inch',
  size: '3/4',
  boltClass: 'grade-5',
  lubrication: 'dry',
  makerTorque: null,
} as const

describe('what the register takes over', () => {
  it('is nothing from a job that changed nothing', () => {
    expect(registerChanges(new TestJob().ready().state)).toEqual([])
  })

  it('is each pack that holds other leaves, as it was and as it is', () => {
    const job = new TestJob().ready()
    job.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: lift('inboard', [12]), side: [], remark: '' },
    })
    const changes = registerChanges(job.state)
    expect(changes.map((c) => (c.what === 'pack' ? `${c.pair} ${c.side}` : c.what))).toEqual([
      'inboard left',
      'inboard right',
    ])
    for (const c of changes) if (c.what === 'pack') expect(c.now).toHaveLength(c.was.length + 1)
  })

  it('is nothing of a pack whose leaves only changed places', () => {
    const left = TEST_MACHINE.feet.movable[0]?.existing.left ?? []
    const job = new TestJob().ready()
    job.add({
      kind: 'move-made',
      payload: {
        units: 'inch',
        changes: [
          { machine: 'movable', pair: 'inboard', side: 'left', takenOut: [...left], putIn: [...left] },
        ],
        side: [],
        remark: '',
      },
    })
    expect(left.length).toBeGreaterThan(0)
    expect(registerChanges(job.state)).toEqual([])
  })

  it('is each distance that was taped otherwise than it is registered, a tenth of a millimetre apart', () => {
    const job = new TestJob().ready()
    const { payload } = job.entries.find((e) => e.kind === 'set-up') as LogEntry<'set-up'>
    const feet = payload.feet.map((f) =>
      f.pair === 'outboard' && f.machine === 'movable' ? { ...f, x: f.x + 0.25 } : f,
    )
    job.add({ kind: 'set-up', payload: { ...payload, feet } })
    const changes = registerChanges(job.state)
    expect(changes.map((c) => (c.what === 'distance' ? `${c.machine} ${c.pair}` : c.what))).toEqual([
      'movable outboard',
    ])
    const [change] = changes
    expect(change?.what === 'distance' ? change.now - (change.was ?? NaN) : 0).toBeCloseTo(6.35, 6)
    const near = payload.feet.map((f) => ({ ...f, x: f.x + 0.001 }))
    job.add({ kind: 'set-up', payload: { ...payload, feet: near } })
    expect(registerChanges(job.state)).toEqual([])
  })
  it('is the target and the bolts that the job said, unless the register says the same', () => {
    const job = new TestJob().ready()
    job.add({ kind: 'bolts-named', payload: BOLTS })
    expect(registerChanges(job.state).map((c) => c.what)).toEqual(['bolts'])
    const known = new TestJob({ ...TEST_MACHINE, bolts: BOLTS }).ready()
    known.add({ kind: 'bolts-named', payload: BOLTS })
    expect(registerChanges(known.state)).toEqual([])
  })
})
