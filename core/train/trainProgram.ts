import type { Plane } from '../frame/planes'
import { nearestIndex } from '../plan/machineLifts'
import { limitForms } from '../plan/planeLimits'
import type { PairLifts, PlanFoot } from '../plan/planFoot'
import { thicknessKey, type StockShim } from '../shims/leafKinds'
import type { Constraint, SolveLinear, Variable } from './linearProgram'
import { turnToTrain, type Train, type TrainCoupling, type TrainMachine } from './train'

/** Lifts looked at on either side of the continuous best for the closest plan. */
const NEARBY = 10
/** More of a thickness than a train of eight machines can lay. */
const PLENTY = 192
/** Packs of one height that the program chooses among, easiest first. */
const WAYS = [0, 1, 2] as const
/** Lifts looked at for the least work, of each number of shims handled: those nearest to where the closest plan goes. */
const NEARBY_EASY = 8

/** Leaves handled that opening one more machine is worth: its bolts, its dials, its tightening. */
const WORK_OF_MACHINE = 4

/** Lifts of a pair that the program may choose from. */
const offered = ({ v, changes }: PairLifts, wanted: number, byWork: boolean): readonly number[] => {
  const still = nearestIndex(v, 0)
  const centre = nearestIndex(v, wanted)
  const near: number[] = []
  for (let i = Math.max(0, centre - NEARBY); i <= Math.min(v.length - 1, centre + NEARBY); i++) near.push(i)
  if (!byWork) return [...new Set([...near, still])]
  const easy = new Map<number, number[]>()
  const off = (i: number) => Math.abs((v[i] as number) - wanted)
  for (let i = 0; i < v.length; i++) {
    const list = easy.get(changes[i] as number) ?? []
    easy.set(changes[i] as number, list)
    list.push(i)
    if (list.length > 4 * NEARBY_EASY) list.sort((a, b) => off(a) - off(b)).splice(NEARBY_EASY)
  }
  const few = [...easy.values()].flatMap((list) => list.sort((a, b) => off(a) - off(b)).slice(0, NEARBY_EASY))
  return [...new Set([...near, ...few, still])]
}

/** A machine with what its two pairs can do, in order of x. */
export interface PreparedMachine {
  readonly machine: TrainMachine
  readonly pairs: readonly [PairLifts, PairLifts]
}

/** What one pair's move of one millimetre does to a coupling's line, about the coupling's centre. */
const effectOf = (
  machine: PreparedMachine,
  pair: 0 | 1,
  coupling: TrainCoupling,
): { readonly offset: number; readonly slope: number } => {
  const sign = machine.machine.id === coupling.right ? 1 : machine.machine.id === coupling.left ? -1 : 0
  const own = machine.pairs[pair].foot.x - coupling.x
  const other = machine.pairs[pair === 0 ? 1 : 0].foot.x - coupling.x
  return { offset: (sign * other) / (other - own), slope: -sign / (other - own) }
}

const nameOf = (machine: number, pair: number) => `m${machine}_${pair}`

/**
 * Constraints that hold every judged value of a plane within `share` of its limit. `share` names
 * the variable for it. Forms are divided by their half band, so that all are of like size.
 */
const limitConstraints = (
  train: Train,
  machines: readonly PreparedMachine[],
  plane: Plane,
  share: string,
): readonly Constraint[] =>
  train.couplings.flatMap((coupling) => {
    const forms = limitForms(coupling.tolerance, coupling.target, plane)
    const line = turnToTrain(coupling.coupling, coupling.stationary)
    return forms.flatMap((f): readonly Constraint[] => {
      // The limits are the coupling's own; turning the line turns the signs of offset and slope.
      const turn = turnToTrain({ offset: { v: 1, h: 1 }, slope: { v: 1, h: 1 } }, coupling.stationary)
      const fo = f.offsetFactor * (turn.offset[plane] ?? 1)
      const fs = f.slopeFactor * (turn.slope[plane] ?? 1)
      const now = fo * (line.offset[plane] ?? 0) + fs * (line.slope[plane] ?? 0) - f.shift
      const [low, high] = f.band
      const half =
        low !== null && high !== null && high > low ? (high - low) / 2 : Math.abs(low ?? high ?? 0) || 1e-3
      const terms = machines.flatMap((m, k) =>
        ([0, 1] as const).flatMap((pair) => {
          const e = effectOf(m, pair, coupling)
          const factor = (fo * e.offset + fs * e.slope) / half
          return factor === 0 ? [] : [{ name: nameOf(k, pair), factor }]
        }),
      )
      const out: Constraint[] = []
      if (low !== null && high !== null) {
        const middle = ((low + high) / 2 - now) / half
        out.push({ terms: [...terms, { name: share, factor: 1 }], low: middle, high: Infinity })
        out.push({ terms: [...terms, { name: share, factor: -1 }], low: -Infinity, high: middle })
      } else if (low !== null)
        out.push({
          terms: [...terms, { name: share, factor: low === 0 ? 0 : 1 }],
          low: (low - now) / half + (low === 0 ? 0 : 1),
          high: Infinity,
        })
      else if (high !== null)
        out.push({
          terms: [...terms, { name: share, factor: high === 0 ? 0 : -1 }],
          low: -Infinity,
          high: (high - now) / half - (high === 0 ? 0 : 1),
        })
      return out
    })
  })

/** |move| as a variable of its own, so that work can be counted. */
const workVariables = (
  names: readonly string[],
  cost: number,
): { variables: Variable[]; constraints: Constraint[] } => ({
  variables: names.map((name) => ({ name: `w_${name}`, low: 0, high: 1e4, cost })),
  constraints: names.flatMap((name) => [
    {
      terms: [
        { name: `w_${name}`, factor: 1 },
        { name, factor: -1 },
      ],
      low: 0,
      high: Infinity,
    },
    {
      terms: [
        { name: `w_${name}`, factor: 1 },
        { name, factor: 1 },
      ],
      low: 0,
      high: Infinity,
    },
  ]),
})

const roomOf = (foot: PlanFoot): readonly [number, number] =>
  foot.locked ? [0, 0] : [-foot.sideMinus, foot.sidePlus]

/** Continuous moves of one plane: least worst share first, then least work within `level`. */
export const solveContinuous = async (
  train: Train,
  machines: readonly PreparedMachine[],
  plane: Plane,
  solve: SolveLinear,
  level: number | null,
): Promise<{ readonly moves: readonly (readonly [number, number])[]; readonly share: number } | null> => {
  const moves = machines.flatMap((m, k) =>
    ([0, 1] as const).map((pair): Variable => {
      const { foot, v } = m.pairs[pair]
      const [low, high] = plane === 'v' ? [v[0] as number, v[v.length - 1] as number] : roomOf(foot)
      return { name: nameOf(k, pair), low, high, cost: 0 }
    }),
  )
  const names = moves.map((m) => m.name)
  const work = workVariables(names, level === null ? 1e-6 : 1)
  const share: Variable = { name: 'share', low: 0, high: level ?? 1e6, cost: level === null ? 1 : 0 }
  const solved = await solve({
    variables: [share, ...moves, ...work.variables],
    constraints: [...limitConstraints(train, machines, plane, 'share'), ...work.constraints],
  })
  if (!solved) return null
  return {
    moves: machines.map((_, k) => [solved[nameOf(k, 0)] ?? 0, solved[nameOf(k, 1)] ?? 0] as const),
    share: solved.share ?? 0,
  }
}

/**
 * Side moves that push as few machines as they can within `level`, those of `opened` before others, and
 * then as near as these can come. Null where no choice of machines is within it.
 */
export const solvePushes = async (
  train: Train,
  machines: readonly PreparedMachine[],
  opened: ReadonlySet<number>,
  solve: SolveLinear,
  level: number,
): Promise<readonly (readonly [number, number])[] | null> => {
  const free = machines.flatMap((m, k) =>
    m.pairs.some(({ foot }) => !foot.locked && foot.sidePlus + foot.sideMinus > 0) ? [k] : [],
  )
  const choices = Array.from({ length: 1 << free.length }, (_, bits) =>
    free.filter((_, i) => bits & (1 << i)),
  )
  const work = (set: readonly number[]) => set.filter((k) => !opened.has(k)).length * 100 + set.length
  const byWork = new Map<number, (readonly number[])[]>()
  for (const set of choices) byWork.set(work(set), [...(byWork.get(work(set)) ?? []), set])
  for (const cost of [...byWork.keys()].sort((a, b) => a - b)) {
    let best: { readonly moves: readonly (readonly [number, number])[]; readonly share: number } | null = null
    for (const set of byWork.get(cost) ?? []) {
      const held = machines.map((m, k) => (set.includes(k) ? m : withoutRoom(m)))
      const found = await solveContinuous(train, held, 'h', solve, null)
      if (found && (!best || found.share < best.share)) best = found
    }
    if (best && best.share <= level + 1e-9) return best.moves
  }
  return null
}

const withoutRoom = (m: PreparedMachine): PreparedMachine => {
  const held = (pair: PairLifts): PairLifts => ({
    ...pair,
    foot: { ...pair.foot, sidePlus: 0, sideMinus: 0 },
  })
  return { ...m, pairs: [held(m.pairs[0]), held(m.pairs[1])] }
}

/** Whole-shim lifts: one of each pair's reachable lifts, chosen by an integer program. */
export const solveLifts = async (
  train: Train,
  machines: readonly PreparedMachine[],
  stock: readonly StockShim[],
  solve: SolveLinear,
  around: readonly (readonly [number, number])[],
  level: number | null,
): Promise<readonly (readonly [number, number])[] | null> => {
  const variables: Variable[] = [
    { name: 'share', low: 0, high: level ?? 1e6, cost: level === null ? 1000 : 0.01 },
  ]
  const constraints: Constraint[] = [...limitConstraints(train, machines, 'v', 'share')]
  const shelf = new Map<number, { name: string; factor: number }[]>()
  machines.forEach((m, k) => {
    const opened = `o${k}`
    const opening: string[] = []
    for (const pair of [0, 1] as const) {
      const { v, packs } = m.pairs[pair]
      const name = nameOf(k, pair)
      variables.push({ name, low: v[0] as number, high: v[v.length - 1] as number, cost: 0 })
      const picked = offered(m.pairs[pair], around[k]?.[pair] ?? 0, level !== null)
      const choices = picked.flatMap((i) => {
        const [left, right] = [packs(i, 'left'), packs(i, 'right')]
        // Where the easiest pack of a height wants a leaf that another foot needs more, the next one may do.
        return WAYS.flatMap((way) => {
          const own = [left[Math.min(way, left.length - 1)], right[Math.min(way, right.length - 1)]]
          const [a, b] = own
          if (!a || !b || (way >= left.length && way >= right.length)) return []
          return [{ i, packs: [a, b], changes: a.changes + b.changes, name: `b${k}_${pair}_${i}_${way}` }]
        })
      })
      for (const choice of choices) {
        if (choice.changes > 0) opening.push(choice.name)
        variables.push({
          name: choice.name,
          low: 0,
          high: 1,
          cost: choice.changes * (level === null ? 1e-4 : 1),
          binary: true,
        })
        const book = (t: number, factor: number) => {
          const key = thicknessKey(t)
          const terms = shelf.get(key) ?? []
          shelf.set(key, terms)
          terms.push({ name: choice.name, factor })
        }
        for (const pack of choice.packs) {
          pack.putIn.forEach((t, leaf) => {
            if ((pack.pieces[leaf] ?? -1) < 0) book(t, 1)
          })
          // What comes out anywhere may go in elsewhere.
          pack.takeOut.forEach((t) => book(t, -1))
        }
      }
      constraints.push({ terms: choices.map((c) => ({ name: c.name, factor: 1 })), low: 1, high: 1 })
      constraints.push({
        terms: [{ name, factor: -1 }, ...choices.map((c) => ({ name: c.name, factor: v[c.i] as number }))],
        low: 0,
        high: 0,
      })
    }
    // Whatever is changed under a machine, it is loosened once.
    if (level !== null && opening.length > 0) {
      variables.push({ name: opened, low: 0, high: 1, cost: WORK_OF_MACHINE, binary: true })
      constraints.push({
        terms: [{ name: opened, factor: 2 }, ...opening.map((name) => ({ name, factor: -1 }))],
        low: 0,
        high: Infinity,
      })
    }
  })
  for (const [key, terms] of shelf) {
    // Where there is plenty no choice can want more.
    const count = stock.reduce(
      (s, kind) => s + (kind.kind !== 'laminated' && thicknessKey(kind.thickness) === key ? kind.count : 0),
      0,
    )
    if (count >= PLENTY) continue
    const most = new Map<string, number>()
    for (const t of terms) most.set(t.name, (most.get(t.name) ?? 0) + t.factor)
    constraints.push({
      terms: [...most].map(([name, factor]) => ({ name, factor })),
      low: -Infinity,
      high: count,
    })
  }
  const solved = await solve({ variables, constraints })
  if (!solved) return null
  return machines.map(
    (m, k) =>
      ([0, 1] as const).map((pair) =>
        nearestIndex(m.pairs[pair].v, solved[nameOf(k, pair)] ?? 0),
      ) as unknown as readonly [number, number],
  )
}
