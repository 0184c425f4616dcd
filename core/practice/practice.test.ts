import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, SET_UP } from '../jobs/testJob'
import { positionAt } from '../frame/planes'
import { fitHarmonic } from '../fit/harmonicFit'
import { methodToCore } from '../methods/methods'
import type { MethodGiven } from '../methods/methods'
import { drawBench, type Bench, type BenchSetting } from './bench'
import { dialNow, dialsOn } from './benchDials'
import { footHeight, freshBench, lineOnBench, type BenchState } from './benchState'
import { actRefusal, afterAct, benchAfter, turnedOn } from './doAct'
import { cornerGaps, footDialNow, rimStepNow, sideDialsNow } from './feelers'

const MIL = 0.0254
const how: MethodGiven = { method: 'rim-face', given: methodToCore(SET_UP.how, 'inch') } as MethodGiven
const setting = (more: Partial<BenchSetting> = {}): BenchSetting => ({
  machine: TEST_MACHINE,
  seed: 11,
  hands: 'steady',
  faults: [],
  ...more,
})
/** Hands without any error, so that what is left is the machine. */
const exact = (more: Partial<BenchSetting> = {}): Bench => {
  const bench = drawBench(setting(more))
  const still = Object.fromEntries(Object.keys(bench.spread).map((k) => [k, 0])) as unknown as Bench['spread']
  return { ...bench, spread: still }
}
const mount = (bench: Bench) => afterAct(bench, freshBench(bench), { act: 'mount', how })
/** Round by quarters; what a dial shows at each, and back at the start. */
const sweep = (bench: Bench, from: BenchState, circle: string) => {
  let state = from
  const values = [dialNow(bench, state, circle)]
  for (let i = 0; i < 4; i++) {
    state = afterAct(bench, state, { act: 'turn', by: 90 })
    values.push(dialNow(bench, state, circle))
  }
  return { state, values }
}

describe('a bench', () => {
  it('is the same machine for the same setting, and another for another seed', () => {
    const line = (seed: number) =>
      lineOnBench(drawBench(setting({ seed })), freshBench(drawBench(setting({ seed }))))
    expect(line(3)).toEqual(line(3))
    expect(line(3)).not.toEqual(line(4))
  })

  it('lies as its lie says, whatever weight and bolts do to it', () => {
    for (let seed = 1; seed < 30; seed++) {
      const bench = drawBench(setting({ seed, lie: 'height-only' }))
      const { offset } = lineOnBench(bench, freshBench(bench))
      expect(Math.abs(offset.v ?? 0)).toBeGreaterThan(0.14)
      expect(Math.abs(offset.h ?? 0)).toBeLessThan(0.012)
    }
  })

  it('shows by its dials the line it stands on, sag in it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const bench = exact({ seed })
        const line = lineOnBench(bench, freshBench(bench))
        const { values } = sweep(bench, mount(bench), 'rim')
        const fit = fitHarmonic(values.slice(0, 4).map((value, i) => ({ clock: 90 * i, value })))
        if (!fit.ok) throw new Error('four quarters')
        const at = positionAt(line, -1.5 * 25.4)
        // The bar hangs: that is still in what the dial shows. Carried by the movable shaft, it reads the other way.
        expect(-((fit.value.cos ?? 0) - bench.hang.rim)).toBeCloseTo(at.v ?? 0, 2)
        expect(-(fit.value.sin ?? 0)).toBeCloseTo(at.h ?? 0, 2)
        expect(values[4]).toBeCloseTo(0, 2)
      }),
    )
  })

  it('a slipping bracket does not come back to zero, turn after turn, until it is tightened', () => {
    const bench = exact({ faults: ['slipping-bracket'], seed: 5 })
    const circle = bench.dial('rim').slip ? 'rim' : 'face'
    const slip = bench.dial(circle).slip!
    const first = sweep(bench, mount(bench), circle)
    expect(first.values[4]).toBeCloseTo(slip.by, 2)
    const zeroed = afterAct(bench, first.state, { act: 'zero', circle })
    const second = sweep(bench, zeroed, circle)
    expect(second.values[4]).toBeCloseTo(slip.by, 2)
    const tight = afterAct(bench, afterAct(bench, second.state, { act: 'clamp' }), { act: 'zero', circle })
    expect(sweep(bench, tight, circle).values[4]).toBeCloseTo(0, 2)
    const other = circle === 'rim' ? 'face' : 'rim'
    expect(sweep(bench, mount(bench), other).values[4]).toBeCloseTo(0, 2)
  })

  it('a needle that sticks, one that lags, and one that counts the other way are told by what they show', () => {
    const plain = exact({ seed: 8 })
    const shows = (fault: 'sticking-needle' | 'backlash' | 'counts-other-way') => {
      const bench = exact({ seed: 8, faults: [fault] })
      const bad = dialsOn(mount(bench)).find(
        (c) =>
          bench.dial(c).sticks > 0 || bench.dial(c).backlash > 0.1 * MIL + 1e-9 || bench.dial(c).sign < 0,
      )!
      return [sweep(bench, mount(bench), bad).values, sweep(plain, mount(plain), bad).values] as const
    }
    const [other, own] = shows('counts-other-way')
    other.forEach((v, i) => expect(v).toBeCloseTo(-(own[i] ?? 0), 6))
    for (const fault of ['sticking-needle', 'backlash'] as const) {
      const [bad, good] = shows(fault)
      expect(Math.max(...bad.map((v, i) => Math.abs(v - (good[i] ?? 0))))).toBeGreaterThan(0.5 * MIL)
    }
  })

  it('needles move with the shafts on their way, and stop where they are let go', () => {
    const bench = exact()
    const from = mount(bench)
    const stopped = afterAct(bench, from, { act: 'turn', by: 90 })
    expect(dialNow(bench, turnedOn(bench, from, 90), 'rim')).toBeCloseTo(dialNow(bench, stopped, 'rim'), 9)
    expect(dialNow(bench, turnedOn(bench, from, 45), 'rim')).not.toBeCloseTo(
      dialNow(bench, stopped, 'rim'),
      4,
    )
  })

  it('a soft foot rises on its diagonal, and shows a gap with all bolts loose', () => {
    const bench = exact({ faults: ['soft-foot'], seed: 21 })
    const fresh = freshBench(bench)
    const rise = (foot: 1 | 2 | 3 | 4) => {
      const watched = afterAct(bench, fresh, { act: 'foot-dial', foot })
      return footDialNow(bench, afterAct(bench, watched, { act: 'bolt', foot, tight: false })) ?? 0
    }
    const rises = ([1, 2, 3, 4] as const).map(rise)
    const [a, b] = [Math.min(rises[0]!, rises[2]!), Math.min(rises[1]!, rises[3]!)]
    expect(Math.max(a, b)).toBeGreaterThan(2 * MIL)
    expect(Math.min(a, b)).toBeLessThan(1 * MIL)
    const loose = afterAct(bench, fresh, { act: 'bolts', tight: false })
    const gaps = ([1, 2, 3, 4] as const).map((f) => cornerGaps(bench, loose, f).inboardOuter)
    expect(Math.max(...gaps)).toBeGreaterThan(3 * MIL)
    expect(cornerGaps(bench, fresh, 1).inboardOuter).toBe(0)
  })

  it('leaves under both ends lift the shaft by what they really are', () => {
    const bench = exact()
    let state = afterAct(bench, freshBench(bench), { act: 'bolts', tight: false })
    for (const foot of [1, 2, 3, 4] as const)
      state = afterAct(bench, state, { act: 'leaves', foot, out: [], in: [10 * MIL] })
    state = afterAct(bench, state, { act: 'bolts', tight: true })
    const [before, after] = [lineOnBench(bench, freshBench(bench)), lineOnBench(bench, state)]
    expect((after.offset.v ?? 0) - (before.offset.v ?? 0)).toBeCloseTo(10 * MIL, 4)
    const lying = drawBench(setting({ faults: ['false-shim'] }))
    const leaves = TEST_MACHINE.stock.map((s) => lying.leaf(s.thickness * MIL))
    expect(leaves.filter((l) => l.real !== l.marked)).toHaveLength(1)
  })

  it('is pushed when it is loose, within its holes, and its dials count it', () => {
    const bench = exact()
    const push = { act: 'push', machine: 'movable', pair: 1, by: 0.3 } as const
    expect(actRefusal(bench, freshBench(bench), push)).toBe('not-all-loose')
    const loose = benchAfter(bench, [{ act: 'bolts', tight: false }, { act: 'side-dials' }])
    const pushed = afterAct(bench, loose, push)
    expect(sideDialsNow(pushed)).toEqual([0, 0.3])
    expect(actRefusal(bench, pushed, { ...push, by: 1.3 })).toBe('no-room')
    const before = lineOnBench(bench, loose)
    const after = lineOnBench(bench, pushed)
    const outboard = 34.5 * 25.4
    expect((positionAt(after, outboard).h ?? 0) - (positionAt(before, outboard).h ?? 0)).toBeCloseTo(0.3, 6)
  })

  it('refuses what would hurt somebody, or can’t be', () => {
    const bench = exact()
    const fresh = freshBench(bench)
    expect(actRefusal(bench, fresh, { act: 'run', minutes: 30 })).toBe('locked-out')
    const on = benchAfter(bench, [{ act: 'lock', on: false }])
    expect(actRefusal(bench, on, { act: 'turn', by: 90 })).toBe('power-on')
    expect(actRefusal(bench, on, { act: 'run', minutes: 30 })).toBe('guard-off')
    const guarded = benchAfter(bench, [{ act: 'guard', on: true }])
    expect(actRefusal(bench, guarded, { act: 'turn', by: 90 })).toBe('guard-on')
    expect(actRefusal(bench, fresh, { act: 'zero', circle: 'rim' })).toBe('no-dial')
    expect(actRefusal(bench, fresh, { act: 'leaves', foot: 1, out: [], in: [0.1] })).toBe('bolted-down')
    const loose = benchAfter(bench, [{ act: 'bolts', tight: false }])
    expect(actRefusal(bench, loose, { act: 'leaves', foot: 1, out: [7], in: [] })).toBe('no-such-leaf')
    expect(afterAct(bench, fresh, { act: 'run', minutes: 30 })).toBe(fresh)
  })

  it('a strained coupling bends what is read while it is made up; pipes pull until they are slack', () => {
    const strained = exact({ faults: ['strained-coupling'] })
    const made = afterAct(strained, freshBench(strained), { act: 'couple', made: true })
    const [open, bent] = [rimStepNow(strained, freshBench(strained), 0), rimStepNow(strained, made, 0)]
    expect(Math.abs(bent)).toBeLessThan(0.9 * Math.abs(open))
    expect(lineOnBench(strained, made)).toEqual(lineOnBench(strained, freshBench(strained)))
    const pulled = exact({ faults: ['pipe-strain'] })
    const slack = afterAct(pulled, freshBench(pulled), { act: 'pipe', slack: true })
    const shift =
      (lineOnBench(pulled, slack).offset.v ?? 0) - (lineOnBench(pulled, freshBench(pulled)).offset.v ?? 0)
    expect(shift).toBeCloseTo(pulled.pipe?.shift.offset.v ?? 0, 6)
    const foot = pulled.pipe!.foot
    const loose = afterAct(pulled, freshBench(pulled), { act: 'bolt', foot, tight: false })
    const eased = afterAct(pulled, loose, { act: 'pipe', slack: true })
    expect(footHeight(pulled, loose, foot) - footHeight(pulled, eased, foot)).toBeCloseTo(
      pulled.pipe!.rise,
      9,
    )
  })

  it('grows as it runs and goes back as it stands', () => {
    const bench = exact()
    const run = benchAfter(bench, [
      { act: 'couple', made: true },
      { act: 'guard', on: true },
      { act: 'lock', on: false },
      { act: 'run', minutes: 300 },
    ])
    const cold = lineOnBench(bench, freshBench(bench))
    const rise = (s: BenchState) => (lineOnBench(bench, s).offset.v ?? 0) - (cold.offset.v ?? 0)
    expect(rise(run)).toBeCloseTo(bench.growth.offset.v ?? 0, 3)
    const stood = afterAct(bench, run, { act: 'wait', minutes: 600 })
    expect(Math.abs(rise(stood))).toBeLessThan(0.05 * Math.abs(rise(run)))
  })
})
