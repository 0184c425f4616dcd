import type { FootPlane } from '../coupling/feet'
import { ALIGNED, lineSum, positionAt, type Misalignment } from '../frame/planes'
import type { MachineRole, Side } from '../plan/pairNames'
import type { Random } from '../random/random'
import type { CoupledMachine } from '../register/coupledMachine'
import { OPEN_COUPLING, type CouplingGrip } from '../simulate/couplingGrip'
import type { Hub } from '../simulate/hub'
import { standOn, type FourFeet, type SimulatedMachine } from '../simulate/machineOnFeet'
import { lineBetween, REFERENCE_AXIS } from '../simulate/shaftAxis'
import type { Spread } from '../uncertainty/spread'
import { toCore, type Millimetres } from '../units/unitSystem'
import { between, chanceFor, signed } from './chance'
import type { BenchFault } from './faults'
import { spreadOfHands, type Hands } from './hands'

const MIL: Millimetres = 0.0254

/** What a bench is set up from: the same setting gives the same machine, whoever opens it. */
export interface BenchSetting {
  /** The machine as it is registered, in the record's own units; two foot pairs each. */
  readonly machine: CoupledMachine
  readonly seed: number
  readonly hands: Hands
  readonly faults: readonly BenchFault[]
  /** How far off the shafts lie at the start; `roughed` where nothing is said. */
  readonly lie?: BenchLie
}

/** How the shafts lie at the start: as a lift left them, as rough-in leaves them, high or low alone, close to in band, or good enough for a slower motor alone. */
export type BenchLie = 'dropped' | 'roughed' | 'height-only' | 'side-only' | 'close' | 'slow-enough'

/** A foot of the movable machine by the numbers everybody gives it: f1 inboard left, then round. */
export type BenchFoot = 1 | 2 | 3 | 4
export const BENCH_FEET: readonly BenchFoot[] = [1, 2, 3, 4]

/** A leaf under a foot: what is marked on it, and what it is. */
export interface Leaf {
  readonly marked: Millimetres
  readonly real: Millimetres
}

/** A dial's own manners. */
export interface BenchDial {
  /** Lost motion of the plunger. */
  readonly backlash: Millimetres
  /** The needle hangs until it is pulled by this much, then jumps. */
  readonly sticks: Millimetres
  /** −1 for a gauge that counts the other way. */
  readonly sign: 1 | -1
  /** Where in a turn its bracket gives way, and by how much; null holds. */
  readonly slip: { readonly at: number; readonly by: Millimetres } | null
}

/** A machine on the bench with everything that is hidden in it; lengths in millimetres. */
export interface Bench {
  readonly setting: BenchSetting
  readonly spread: Spread
  readonly faults: ReadonlySet<BenchFault>
  /** The outermost pairs of each machine, the one nearer the coupling first. */
  readonly feet: Readonly<Record<MachineRole, readonly [FootPlane, FootPlane] | null>>
  /** The movable machine without what its packs add: pads of the base, frame, weight. */
  readonly frame: SimulatedMachine
  /** Packs as they are found, by foot. */
  readonly packs: Readonly<Record<BenchFoot, readonly Leaf[]>>
  /** Packs under the driven machine as they are found, by pair and side. */
  readonly drivenPacks: Readonly<Record<string, Readonly<Record<Side, readonly Leaf[]>>>>
  /** Axis of the driven machine as it is found, against level ground. */
  readonly drivenAxis: Misalignment
  readonly hubs: Readonly<Record<MachineRole, Hub>>
  readonly grip: CouplingGrip
  /** How far the bar's dial end hangs, rim dials and face dials. */
  readonly hang: { readonly rim: Millimetres; readonly face: Millimetres }
  readonly dial: (circle: string) => BenchDial
  /** How far a shaft creeps along itself between stops, at most. */
  readonly float: Millimetres
  /** Where bolted pipes lift a foot whose own bolt is loose, by how much, and how far they pull the shaft; null where none pull. */
  readonly pipe: { readonly foot: BenchFoot; readonly rise: Millimetres; readonly shift: Misalignment } | null
  /** How far each corner of a bent foot stands off its pad at its open edge; null where none is bent. */
  readonly bent: { readonly foot: BenchFoot; readonly open: Millimetres } | null
  /** What a leaf marked so really is. */
  readonly leaf: (marked: Millimetres) => Leaf
  /** How the movable shaft rises against the driven one from cold to warm. */
  readonly growth: Misalignment
  /** The speed that stands on the motor's plate, rpm; the register may have another. */
  readonly plate: number
}

/** Offsets (mm) and angles (mm/mm) of a lie: least and most of each plane. */
const LIES: Readonly<
  Record<
    BenchLie,
    { readonly v: readonly [number, number, number]; readonly h: readonly [number, number, number] }
  >
> = {
  dropped: { v: [0.8, 1.6, 0.003], h: [0.8, 1.8, 0.003] },
  roughed: { v: [0.12, 0.35, 0.0008], h: [0.12, 0.35, 0.0008] },
  'height-only': { v: [0.15, 0.4, 0.0008], h: [0, 0.01, 0] },
  'side-only': { v: [0, 0.01, 0], h: [0.15, 0.4, 0.0008] },
  close: { v: [0.02, 0.05, 0.00012], h: [0.02, 0.05, 0.00012] },
  'slow-enough': { v: [0.057, 0.07, 0.00008], h: [0, 0.015, 0.00008] },
}

const drawLine = (random: Random, lie: BenchLie): Misalignment => {
  const { v, h } = LIES[lie]
  return {
    offset: { v: signed(random, v[0], v[1]), h: signed(random, h[0], h[1]) },
    slope: { v: signed(random, 0, v[2]), h: signed(random, 0, h[2]) },
  }
}

const outerPair = (machine: CoupledMachine, role: MachineRole): readonly [FootPlane, FootPlane] | null => {
  const pairs = machine.feet[role]
  const [near, far] = [pairs[0], pairs[pairs.length - 1]]
  if (!near || !far || near === far) return null
  const at = (f: typeof near): FootPlane => ({ id: f.id, x: toCore(f.x, 'distance', machine.units) })
  return [at(near), at(far)]
}

const GRIP: CouplingGrip = { lateral: 900, bending: 4e6, shaftLateral: 2400, shaftBending: 6e7 }

/** Speeds that motors of two, four, six and eight poles have, rpm. */
const PLATES = [740, 985, 1480, 2970]

/** The plate of a motor that somebody put in place of the registered one: the next faster, of the fastest the next slower. */
const otherPlate = (rpm: number): number =>
  PLATES.find((p) => p > 1.3 * rpm) ?? [...PLATES].reverse().find((p) => p < rpm / 1.3) ?? rpm

/** The pair and side of a numbered foot. */
export const footPlace = (foot: BenchFoot): { readonly pair: 0 | 1; readonly side: Side } => ({
  pair: foot <= 2 ? 0 : 1,
  side: foot === 1 || foot === 4 ? 'left' : 'right',
})

/** A foot of the movable machine by its number. */
export const footNumber = (pair: 0 | 1, side: Side): BenchFoot =>
  pair === 0 ? (side === 'left' ? 1 : 2) : side === 'left' ? 4 : 3

/**
 * A machine on the bench, drawn from its setting: how it lies, what hides in it, what its dials and leaves are like.
 * Throws where the machine has no two foot pairs.
 */
export const drawBench = (setting: BenchSetting): Bench => {
  const { machine, seed } = setting
  const movable = outerPair(machine, 'movable')
  if (!movable) throw new Error('a machine on the bench stands on two foot pairs')
  const faults = new Set(setting.faults)
  const has = (fault: BenchFault) => faults.has(fault)
  const chance = (purpose: string) => chanceFor(seed, purpose)
  const thick = (t: number) => toCore(t, 'displacement', machine.units)

  const marks = [...new Set(machine.stock.map((s) => thick(s.thickness)))]
  const falseOf = chance('false-shim')
  // The leaf that lies is one that plans like to use.
  const falseMark = [...marks].sort((a, b) => a - b)[Math.floor((0.3 + 0.4 * falseOf()) * marks.length)]
  const falseBy = between(falseOf, 3, 5) * MIL
  const leaf = (marked: Millimetres): Leaf => ({
    marked,
    real:
      has('false-shim') && falseMark !== undefined && Math.abs(marked - falseMark) < 1e-6
        ? marked + falseBy
        : marked,
  })
  const packOf = (leaves: readonly number[]) =>
    // What lies under it was laid before: nobody asks whether it is what it says.
    leaves.map((t): Leaf => ({ marked: thick(t), real: thick(t) }))
  const packs = Object.fromEntries(
    BENCH_FEET.map((foot) => {
      const { pair, side } = footPlace(foot)
      const registered = machine.feet.movable[pair === 0 ? 0 : machine.feet.movable.length - 1]
      return [foot, packOf(registered?.existing[side] ?? [])]
    }),
  ) as unknown as Record<BenchFoot, readonly Leaf[]>
  const stacked = (foot: BenchFoot) => packs[foot].reduce((s, l) => s + l.real, 0)

  const size = chance('frame')
  const [near, far] = movable
  const halfWidth = Math.max(80, (far.x - near.x) * between(size, 0.28, 0.4))
  const soft = chance('soft-foot')
  const softFoot = BENCH_FEET[Math.floor(soft() * 4)] as BenchFoot
  const softGap = between(soft, 9, 16) * MIL
  const base = (foot: BenchFoot) => {
    // Packs differ between ends; the base below them makes up for it, so that the machine stands as it is drawn.
    const level = -stacked(foot)
    return has('soft-foot') && foot === softFoot ? level - softGap : level
  }
  const at = (foot: BenchFoot) => {
    const { pair, side } = footPlace(foot)
    const x = movable[pair].x
    return {
      x,
      h: side === 'left' ? -halfWidth : halfWidth,
      pad: base(foot),
      padStiffness: 2.5e6,
      bolt: 25_000,
    }
  }
  const feet: FourFeet = [at(1), at(2), at(3), at(4)]
  const bare: SimulatedMachine = {
    feet,
    shaftHeight: between(size, 160, 320),
    weight: between(size, 3000, 9000),
    twistStiffness: between(size, 5e5, 1e6),
    side: { inboard: 0, outboard: 0 },
    axisError: { inboard: 0, outboard: 0 },
  }

  const lie = chance('lie')
  const drivenAxis: Misalignment = {
    offset: { v: 0, h: 0 },
    slope: { v: between(lie, -0.001, 0.001), h: between(lie, -0.001, 0.001) },
  }
  const wanted = lineSum(drivenAxis, drawLine(lie, setting.lie ?? 'roughed'))
  // Bolts and weight settle the frame: its ends are set so that the wanted line comes out of it.
  const packed = {
    ...bare,
    feet: feet.map((f, i) => ({ ...f, pad: f.pad + stacked((i + 1) as BenchFoot) })) as unknown as FourFeet,
  }
  const settled = lineBetween(standOn(packed).axis, REFERENCE_AXIS)
  const off = (x: Millimetres, p: 'v' | 'h') =>
    (positionAt(wanted, x)[p] ?? 0) - (positionAt(settled, x)[p] ?? 0)
  const frame: SimulatedMachine = {
    ...bare,
    side: { inboard: off(near.x, 'h'), outboard: off(far.x, 'h') },
    axisError: { inboard: off(near.x, 'v'), outboard: off(far.x, 'v') },
  }

  const hub = (role: MachineRole): Hub => {
    const random = chance(`hub ${role}`)
    const diameter = role === 'movable' ? machine.hubs?.movableDiameter : machine.hubs?.stationaryDiameter
    const turned = role === 'stationary'
    return {
      radius: diameter ? toCore(diameter, 'distance', machine.units) / 2 : 110,
      eccentric: {
        amount: has('run-out') && turned ? between(random, 3, 5) * MIL : between(random, 0.1, 0.5) * MIL,
        at: 360 * random(),
      },
      oval: {
        amount: has('oval-hub') && turned ? between(random, 2.5, 4) * MIL : 0,
        at: 180 * random(),
      },
      wobble: {
        slope: has('run-out') && turned ? between(random, 0.0003, 0.0006) : 0,
        at: 360 * random(),
      },
    }
  }

  const bar = chance('bar')
  const bad = chance('bad dial')
  const badFace = bad() < 0.4
  const isBad = (circle: string) => {
    const faceLike = /face|onMovable|atMovable/.test(circle)
    return badFace === faceLike
  }
  const slipAt = between(bad, 100, 250)
  const slipBy = signed(bad, 1.5, 3.5) * MIL
  const dial = (circle: string): BenchDial => ({
    backlash: has('backlash') && isBad(circle) ? 4 * MIL : 0.1 * MIL,
    sticks: has('sticking-needle') && isBad(circle) ? 3 * MIL : 0,
    sign: has('counts-other-way') && isBad(circle) ? -1 : 1,
    slip: has('slipping-bracket') && isBad(circle) ? { at: slipAt, by: slipBy } : null,
  })

  const pulled = chance('pipe')
  const bentAt = chance('bent-foot')
  const warm = chance('growth')
  return {
    setting,
    spread: spreadOfHands(setting.hands),
    faults,
    feet: { movable, stationary: outerPair(machine, 'stationary') },
    frame,
    packs,
    drivenPacks: Object.fromEntries(
      machine.feet.stationary.map((f) => [
        f.id,
        { left: packOf(f.existing.left), right: packOf(f.existing.right) },
      ]),
    ),
    drivenAxis,
    hubs: { movable: hub('movable'), stationary: hub('stationary') },
    grip: has('strained-coupling') ? GRIP : OPEN_COUPLING,
    hang: has('hanging-bar')
      ? { rim: between(bar, 5, 9) * MIL, face: between(bar, -0.15, 0.15) * MIL }
      : { rim: between(bar, 1.5, 4) * MIL, face: 0 },
    dial,
    float: has('float') ? between(chance('float'), 3, 6) * MIL : 0,
    pipe: has('pipe-strain')
      ? {
          foot: BENCH_FEET[Math.floor(pulled() * 4)] as BenchFoot,
          rise: between(pulled, 3, 6) * MIL,
          shift: {
            offset: { v: signed(pulled, 0.06, 0.12), h: signed(pulled, 0.04, 0.08) },
            slope: { v: 0, h: 0 },
          },
        }
      : null,
    bent: has('bent-foot')
      ? { foot: BENCH_FEET[Math.floor(bentAt() * 4)] as BenchFoot, open: between(bentAt, 8, 13) * MIL }
      : null,
    leaf,
    plate: has('wrong-nameplate') ? otherPlate(machine.rpm) : machine.rpm,
    growth: {
      ...ALIGNED,
      offset: { v: signed(warm, 0.08, 0.16), h: 0 },
      slope: { v: signed(warm, 0, 0.0001), h: 0 },
    },
  }
}
