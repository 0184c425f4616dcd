import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { cureOf } from '../../../core/stages/feet/cure'
import { tellingOf } from '../../wording/telling'
import { drawFeet, listed } from './drawing'
import { drawLeaves } from '../../drawing/leaves'

const MIL = 0.0254
const T = tellingOf('inch', TEST_MACHINE)
const drawn = (write: (job: TestJob) => void) => {
  const job = new TestJob().open().lockOut()
  write(job)
  const { feetCheck, packs } = job.state
  const { rounds, readings } = feetCheck
  const at = readings.length - 1
  return drawFeet(
    {
      machine: job.machine,
      packs,
      round: rounds[at] as (typeof rounds)[0],
      reading: readings[at] ?? null,
      before: readings[at - 1] ?? null,
      cure: cureOf(job.machine, feetCheck, packs),
    },
    T,
  )
}

describe('the feet as they are drawn', () => {
  it('stand as the observer sees them, in the order they are tightened', () => {
    const feet = drawn(() => {})
    expect(feet.map((f) => [f.name, f.place, f.left, f.order])).toEqual([
      ['f1', 'inboard left', true, 0],
      ['f2', 'inboard right', false, 2],
      ['f4', 'outboard left', true, 3],
      ['f3', 'outboard right', false, 1],
    ])
    expect(listed(feet).map((f) => f.name)).toEqual(['f1', 'f2', 'f3', 'f4'])
    for (const f of feet)
      expect(f).toMatchObject({ rise: null, before: null, mark: null, gap: null, putIn: [] })
  })

  it('carry their rise, its mark, the round before, and what goes in under the one that is to be filled', () => {
    const feet = drawn((job) => {
      job.rises([2.5, 18.5, 2, 16])
      job.fill(2, [5])
      job.add({
        kind: 'gaps-felt',
        payload: {
          units: 'inch',
          gaps: [
            {
              machine: 'movable',
              pair: 'inboard',
              side: 'right',
              corners: { outboardOuter: 9, outboardInner: 10, inboardOuter: 11, inboardInner: 10 },
              size: null,
            },
          ],
        },
      })
      job.rises([1.7, 12, 1.5, 9.5])
    })
    const of = (name: string) => feet.find((f) => f.name === name)
    expect(of('f1')).toMatchObject({ mark: 'edge', putIn: [], gap: null })
    expect(of('f2')?.mark).toBe('out')
    expect(of('f3')?.mark).toBe('in')
    expect((of('f2')?.rise ?? 0) / MIL).toBeCloseTo(12, 9)
    expect((of('f2')?.before ?? 0) / MIL).toBeCloseTo(18.5, 9)
    expect((of('f2')?.gap ?? 0) / MIL).toBeCloseTo(11, 9)
    expect(of('f2')?.pack).toHaveLength(3)
    expect(of('f2')?.putIn.length).toBeGreaterThan(0)
    expect(of('f4')?.putIn).toEqual([])
  })
})

describe('a pack as it is drawn', () => {
  it('stands leaf on leaf: what stays, what comes out where it lies, what goes in on top', () => {
    const leaves = drawLeaves([0.5, 0.2, 0.2], { putIn: [0.4], takenOut: [0.2] }, 50, 74)
    expect(leaves.map((l) => l.kind)).toEqual(['stays', 'out', 'stays', 'in'])
    leaves.slice(1).forEach((leaf, i) => expect(leaf.y).toBeLessThan(leaves[i]?.y ?? 0))
    expect(leaves[0]?.y).toBeCloseTo(74 - 25, 9)
  })

  it('shows the thinnest leaf too, and nothing where nothing lies', () => {
    const [thin] = drawLeaves([0.001], { putIn: [], takenOut: [] }, 50, 74)
    expect(thin?.height).toBeGreaterThan(2)
    expect(drawLeaves([], { putIn: [], takenOut: [] }, 50, 74)).toEqual([])
  })
})
