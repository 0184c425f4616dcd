import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../jobs/testJob'
import { ALIGNED, lineSum, type Misalignment } from '../frame/planes'
import { judge } from '../judge/judge'
import { settleTolerance } from '../judge/tolerance'
import { toleranceToCore } from '../judge/toleranceUnits'
import { shiftOfMoves, type PlanInput } from '../plan/movePlan'
import type { MachineRole } from '../plan/pairNames'
import { seededRandom } from '../random/random'
import { drawBench, type BenchLie } from './bench'
import { freshBench } from './benchState'
import { fewestMoves, truthInput, type OneMove } from './fewest'
import { movesIn, movesMade } from './movesMade'

const tolerance = settleTolerance(toleranceToCore(TEST_MACHINE.tolerance, 'inch'), 990, undefined)
const benchInput = (seed: number, lie: BenchLie) => {
  const bench = drawBench({ machine: TEST_MACHINE, seed, hands: 'steady', faults: [], lie })
  return truthInput(bench, freshBench(bench), { tolerance, target: ALIGNED })
}

/** A small machine: one or two leaves to a foot, little room, both machines on two pairs. */
const smallMachine = (seed: number): PlanInput => {
  const random = seededRandom(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  const foot = (machine: MachineRole, id: string, x: number) => {
    const existing = pick([[0.3], [0.3, 0.1], []])
    const room = pick([0, 0.1, 0.4])
    return {
      id,
      machine,
      x,
      existing: { left: existing, right: existing },
      maxPack: 0.8,
      sidePlus: room,
      sideMinus: pick([0, 0.1, 0.4]),
    }
  }
  const far = () => pick([0, 0.03, 0.2, 0.4]) * (random() < 0.5 ? -1 : 1)
  return {
    coupling: { offset: { v: far(), h: far() }, slope: { v: far() / 400, h: far() / 400 } },
    target: ALIGNED,
    tolerance: settleTolerance(
      { form: 'offset-slope', mode: pick(['plane', 'vector'] as const), offset: 0.1, slope: 0.0005 },
      1480,
      undefined,
    ),
    feet: [
      foot('movable', 'near', 300),
      foot('movable', 'far', 800),
      foot('stationary', 'near', -300),
      foot('stationary', 'far', -700),
    ],
    stock: [
      { thickness: 0.1, count: 4 },
      { thickness: 0.2, count: 4 },
    ],
    packLimit: 2,
    sideStep: 0,
  }
}

const RANK = { in: 2, edge: 1, out: 0, unknown: 0 } as const

/** Every pack of up to two leaves under every pair, both feet alike, beside side moves in fine steps: no planner in it. */
const bruteForce = (input: PlanInput) => {
  const packs = [
    [],
    [0.1],
    [0.2],
    [0.3],
    [0.1, 0.1],
    [0.1, 0.2],
    [0.1, 0.3],
    [0.2, 0.2],
    [0.2, 0.3],
    [0.3, 0.3],
  ]
  const sum = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)
  const can = (foot: PlanInput['feet'][number], pack: readonly number[]) => {
    const own = foot.existing.left
    const threes = pack.filter((t) => t === 0.3).length
    // Thick leaves are only what lies there already.
    return threes <= own.filter((t) => t === 0.3).length && sum(pack) <= foot.maxPack + 1e-9
  }
  const lifts = input.feet.map((f) => [
    ...new Set(packs.filter((p) => can(f, p)).map((p) => sum(p) - sum(f.existing.left))),
  ])
  const steps = input.feet.map((f) => {
    const list: number[] = []
    for (let h = -f.sideMinus; h <= f.sidePlus + 1e-9; h += 0.04) list.push(h)
    return [...new Set([...list, 0, f.sidePlus])]
  })
  const lines = (options: readonly (readonly number[])[], plane: 'v' | 'h') => {
    const found: { readonly roles: readonly MachineRole[]; readonly line: Misalignment }[] = []
    const own = (role: MachineRole) => input.feet.flatMap((f, i) => (f.machine === role ? [i] : []))
    const settings = (role: MachineRole): (readonly [number, number])[] => {
      const [a = 0, b = 0] = own(role)
      return (options[a] ?? []).flatMap((x) => (options[b] ?? []).map((y) => [x, y] as const))
    }
    for (const m of settings('movable'))
      for (const s of settings('stationary')) {
        const still = (pair: readonly [number, number]) => pair.every((x) => Math.abs(x) < 1e-9)
        // Both machines at once make for millions of pushes: one of them is enough to tell the fewest from more.
        if (plane === 'h' && !still(m) && !still(s)) continue
        const roles: MachineRole[] = [
          ...(still(m) ? [] : ['movable' as const]),
          ...(still(s) ? [] : ['stationary' as const]),
        ]
        const moves = input.feet.map((f, i) => {
          const by = f.machine === 'movable' ? m[own('movable').indexOf(i)] : s[own('stationary').indexOf(i)]
          return {
            id: f.id,
            machine: f.machine ?? 'movable',
            x: f.x,
            v: plane === 'v' ? (by ?? 0) : 0,
            h: plane === 'h' ? (by ?? 0) : 0,
          }
        })
        found.push({ roles, line: shiftOfMoves(moves) })
      }
    return found
  }
  const [up, aside] = [lines(lifts, 'v'), lines(steps, 'h')]
  // In each plane, for each set of machines, the setting that comes closest to the middle of the limits.
  const far = (line: Misalignment, p: 'v' | 'h') =>
    Math.max(
      Math.abs((input.coupling.offset[p] ?? 0) + (line.offset[p] ?? 0)) / 0.1,
      Math.abs((input.coupling.slope[p] ?? 0) + (line.slope[p] ?? 0)) / 0.0005,
    )
  const closest = (list: typeof up, p: 'v' | 'h') => {
    const best = new Map<string, (typeof up)[number]>()
    for (const one of list) {
      const key = one.roles.join()
      const was = best.get(key)
      if (!was || far(one.line, p) < far(was.line, p)) best.set(key, one)
    }
    return [...best.values()]
  }
  let best = { verdict: judge(input.coupling, input.tolerance, input.target).verdict, moves: 0 }
  for (const v of closest(up, 'v'))
    for (const h of closest(aside, 'h')) {
      const { verdict } = judge(
        lineSum(input.coupling, lineSum(v.line, h.line)),
        input.tolerance,
        input.target,
      )
      const moves = v.roles.length + h.roles.length
      if (RANK[verdict] > RANK[best.verdict] || (verdict === best.verdict && moves < best.moves))
        best = { verdict, moves }
    }
  return best
}

describe('the fewest moves', () => {
  it('are one for one plane, two for two, none where it lies in band', () => {
    const moves = (seed: number, lie: BenchLie) => fewestMoves(benchInput(seed, lie))
    for (let seed = 1; seed < 12; seed++) {
      expect(moves(seed, 'height-only').moves).toEqual([{ machine: 'movable', plane: 'v' }])
      expect(moves(seed, 'side-only').moves).toEqual([{ machine: 'movable', plane: 'h' }])
      expect(moves(seed, 'roughed')).toMatchObject({ verdict: 'in', moves: [{ plane: 'v' }, { plane: 'h' }] })
      expect(moves(seed, 'close').moves).toEqual([])
    }
  })

  it('move the driven machine where the motor has no room', () => {
    const input = benchInput(4, 'side-only')
    const bound: PlanInput = {
      ...input,
      feet: [
        ...input.feet.map((f) => ({ ...f, sidePlus: 0, sideMinus: 0 })),
        ...[-300, -700].map((x, i) => ({
          id: `d${i}`,
          machine: 'stationary' as const,
          x,
          existing: { left: [], right: [] },
          maxPack: 1,
          sidePlus: 2,
          sideMinus: 2,
        })),
      ],
    }
    expect(fewestMoves(bound)).toMatchObject({
      verdict: 'in',
      moves: [{ machine: 'stationary', plane: 'h' }],
    })
    const stuck = { ...bound, feet: bound.feet.filter((f) => f.machine !== 'stationary') }
    expect(fewestMoves(stuck)).toMatchObject({ verdict: 'out', moves: [] })
  })

  it('are as few as brute force finds on small machines, and end as well', () => {
    let told = 0
    for (let seed = 1; seed <= 60; seed++) {
      const input = smallMachine(seed)
      const [found, brute] = [fewestMoves(input), bruteForce(input)]
      const label = `machine ${seed}`
      // Steps of four hundredths can miss what an exact push reaches, never the other way round.
      if (RANK[found.verdict] > RANK[brute.verdict]) continue
      expect(found.verdict, label).toBe(brute.verdict)
      if (brute.verdict === 'out') continue
      expect(found.moves.length, label).toBeLessThanOrEqual(brute.moves)
      if (found.moves.length === brute.moves) told++
    }
    expect(told).toBeGreaterThan(25)
  })
})

describe('moves of a logbook', () => {
  const made = (machines: readonly OneMove[]) => ({
    kind: 'move-made' as const,
    payload: {
      units: 'inch' as const,
      changes: machines.flatMap(({ machine, plane }) =>
        plane === 'v' ? [{ machine, pair: 'inboard', side: 'left' as const, takenOut: [], putIn: [5] }] : [],
      ),
      side: machines.flatMap(({ machine, plane }) =>
        plane === 'h' ? [{ machine, pair: 'inboard', moved: 3 }] : [],
      ),
      remark: '',
    },
  })

  it('are counted by machine and plane, as the fewest are', () => {
    expect(movesIn(made([]))).toBe(0)
    expect(movesIn(made([{ machine: 'movable', plane: 'v' }]))).toBe(1)
    expect(
      movesIn(
        made([
          { machine: 'movable', plane: 'v' },
          { machine: 'movable', plane: 'h' },
        ]),
      ),
    ).toBe(2)
    expect(
      movesMade([
        made([{ machine: 'movable', plane: 'h' }]),
        { kind: 'remark', payload: { text: 'Pushed.' } },
        made([
          { machine: 'movable', plane: 'h' },
          { machine: 'stationary', plane: 'h' },
        ]),
      ]),
    ).toBe(3)
  })
})
