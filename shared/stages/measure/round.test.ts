import { describe, expect, it } from 'vitest'
import { inMil, TestJob } from '../../../core/jobs/testJob'
import { drawRound, ROUND, roomRound, withPosition } from './round'

const measured = () => {
  const job = new TestJob().ready()
  job.read(inMil(-8.4, 5.1, -0.36, 0.22))
  return job.state.latest.sets[0]?.set
}
const middle = ROUND.size / 2
const out = (p: { x: number; y: number }) => Math.hypot(p.x - middle, p.y - middle) - ROUND.radius

describe('a set drawn round the hub', () => {
  it('is nothing before anything was read', () => {
    expect(drawRound(undefined, (c) => c)).toEqual([])
  })

  it('puts every reading of an honest set on its curve, to one scale', () => {
    const set = measured()
    const [rim, face] = drawRound(set, (c) => c)
    expect([rim?.circle, face?.circle]).toEqual(['rim', 'face'])
    expect(rim?.path.startsWith('M')).toBe(true)
    const at = (clock: number) => rim?.dots.find((d) => d.clock === clock) ?? { x: NaN, y: NaN }
    // Opposite readings stand as far out as in.
    expect(out(at(0)) + out(at(180))).toBeCloseTo(0, 1)
    const largest = Math.max(...(rim?.dots ?? []).map((d) => Math.abs(out(d))))
    expect(largest).toBeLessThanOrEqual(ROUND.room + 1e-9)
    expect(largest).toBeGreaterThan(ROUND.room * 0.7)
    expect(Math.max(...(face?.dots ?? []).map((d) => Math.abs(out(d))))).toBeLessThan(largest)
  })

  it('turns over with the reader', () => {
    const set = measured()
    const here = drawRound(set, (c) => c)[0]?.dots.find((d) => d.clock === 90)
    const there = drawRound(set, (c) => (360 - c) % 360)[0]?.dots.find((d) => d.clock === 90)
    expect((here?.x ?? 0) - middle).toBeCloseTo(middle - (there?.x ?? 0), 9)
  })
})

describe('a list of positions', () => {
  it('has boxes round the hub while no two stand too near', () => {
    expect(roomRound([0, 45, 90, 135, 180, 225, 270, 315])).toBe(true)
    expect(roomRound([350, 20, 180])).toBe(false)
  })

  it('is swept on from where it starts', () => {
    expect(withPosition([300, 0, 60], 30)).toEqual([300, 0, 30, 60])
    expect(withPosition([0, 90, 180], 330)).toEqual([0, 90, 180, 330])
  })
})
