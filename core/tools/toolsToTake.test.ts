import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../jobs/testJob'
import type { CoupledMachine } from '../register/coupledMachine'
import { toolsToTake } from './toolsToTake'

const HUBS = {
  stationaryDiameter: 8,
  movableDiameter: 7,
  gapLeast: 0.1,
  gapMost: 0.25,
  float: null,
  closeEnough: null,
  rimLimit: null,
  faceLimit: null,
}
const of = (
  machine: Partial<CoupledMachine>,
  method: Parameters<typeof toolsToTake>[1],
  before = [] as never,
) => new Map(toolsToTake({ ...TEST_MACHINE, ...machine }, method, before).map((t) => [t.id, t]))

describe('tools to take', () => {
  it('follow from the method', () => {
    expect([...of({}, 'gaps').keys()]).not.toContain('bracket')
    expect([...of({}, 'heads').keys()]).toContain('heads')
    expect([...of({}, 'values').keys()]).toContain('instrument')
    expect([...of({}, 'reverse-rim').keys()]).toEqual(
      expect.arrayContaining(['bracket', 'sag-pipe', 'mirror']),
    )
  })

  it('never fewer than two dials: a foot and a side move are watched too', () => {
    for (const method of ['rim-face', 'gaps', 'heads'] as const)
      expect(of({}, method).get('dials')?.count).toBe(2)
  })

  it('a straightedge reaches over both hubs, as far as their sizes are known', () => {
    expect(of({}, 'gaps').get('straightedge')?.size).toBeUndefined()
    expect(of({ hubs: HUBS }, 'gaps').get('straightedge')?.size).toBeCloseTo(7.25 * 25.4, 6)
    const spacer = { method: 'spacer-faces', spoolLength: 10, circleStationary: 8, circleMovable: 8 } as const
    expect(of({ hubs: HUBS, usual: spacer }, 'spacer-faces').get('straightedge')?.size).toBeCloseTo(
      17 * 25.4,
      6,
    )
  })

  it('a bracket reaches where the register has the dial; unknown for another method', () => {
    expect(of({}, 'rim-face').get('bracket')?.size).toBeCloseTo(3 * 25.4, 6)
    expect(of({}, 'reverse-rim').get('bracket')?.size).toBeUndefined()
  })

  it('spares are those of the coupling', () => {
    expect(of({ couplingType: 'grid' }, 'gaps').get('coupling-parts')?.parts).toEqual(['grease', 'gasket'])
    expect(of({ couplingType: 'disc' }, 'gaps').has('coupling-parts')).toBe(false)
  })

  it('leaves are those that its jobs before took most', () => {
    const before = [1, 2, 3, 4, 5, 6, 7].map((n) => ({ thickness: n / 10, count: n }))
    const shims = toolsToTake(TEST_MACHINE, 'gaps', before).find((t) => t.id === 'shims')
    expect(shims?.leaves).toEqual([0.7, 0.6, 0.5, 0.4, 0.3, 0.2])
    expect(toolsToTake(TEST_MACHINE, 'gaps', []).find((t) => t.id === 'shims')).not.toHaveProperty('leaves')
  })
})
