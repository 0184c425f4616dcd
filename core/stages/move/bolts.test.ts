import { describe, expect, it } from 'vitest'
import { comesIn } from '../../bolts/sizes'
import { TestJob, TEST_MACHINE } from '../../jobs/testJob'
import { tightenBolts } from './bolts'

const BOLTS = {
  units: 'inch',
  size: '3/4',
  boltClass: 'grade-5',
  lubrication: 'dry',
  makerTorque: null,
} as const

describe('hold-down bolts', () => {
  it('are the register’s until the job says which, and nobody’s where neither does', () => {
    const bare = new TestJob().open()
    expect(bare.state.bolts).toBeNull()
    const known = new TestJob({ ...TEST_MACHINE, bolts: BOLTS }).open()
    expect(known.state.bolts).toMatchObject({ from: 'register', payload: { size: '3/4' } })
    known.add({ kind: 'bolts-named', payload: { ...BOLTS, size: '1' } })
    expect(known.state.bolts).toMatchObject({ from: 'job', payload: { size: '1' } })
  })

  it('are pulled in three passes, two a foot pair; the maker’s torque rules', () => {
    const found = tightenBolts(BOLTS, 4)
    // 0.75 * 85 ksi * 0.334 in2 * 0.2 * 0.75 in
    expect(found.torque / 1.3558).toBeCloseTo((0.75 * 85000 * 0.3345 * 0.2 * 0.75) / 12, 0)
    expect(found.passes.map((p) => p.share)).toEqual([0.3, 0.6, 1])
    expect(found.order).toHaveLength(4)
    expect(tightenBolts({ ...BOLTS, makerTorque: 100 }, 4).torque).toBeCloseTo(135.58, 2)
    expect(tightenBolts({ ...BOLTS, lubrication: 'oiled' }, 4).torque).toBeCloseTo(0.75 * found.torque, 9)
  })

  it('come in sizes of their own thread', () => {
    expect(comesIn('8.8', 'M16')).toBe(true)
    expect(comesIn('8.8', '5/8')).toBe(false)
    expect(comesIn('grade-8', '1 1/4')).toBe(true)
  })
})
