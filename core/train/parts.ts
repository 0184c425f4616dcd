import { setsFor } from '../judge/limitSets'
import { remember } from '../logbook/remember'
import type { MachineRole } from '../plan/pairNames'
import type { CoupledMachine } from '../register/coupledMachine'
import type { TapedPair } from '../register/pair'
import { growthAt } from './growthAt'
import type { TrainJoint, TrainMachine, TrainUnit } from '../register/trainMachine'

/**
 * One coupling or one machine of a train, seen as a coupled machine of its own: so every stage that
 * knows how to measure a coupling, look at feet or watch a move serves a train as well.
 */
export interface TrainPart {
  readonly id: string
  readonly what: 'coupling' | 'machine'
  readonly name: string
  /** As a coupled machine, in the frame it is read in. */
  readonly machine: CoupledMachine & {
    readonly movableName: string
    readonly stationaryName: string
    readonly couplingKind: string
    /** Of a machine by itself: what stands on either side of it, null at an end of the train. */
    readonly neighbours?: readonly [string | null, string | null]
  }
  /** Which machine of the train is the movable one here, and which the stationary. */
  readonly roles: Readonly<Record<MachineRole, string | null>>
  /** Read by somebody who faces the other way: left and right, 3 and 9 change places. */
  readonly mirrored: boolean
  /** Speed of this coupling for each turn of the driver. */
  readonly ratio: number
}

/** A pair told about a coupling, its sides as seen by who looks the other way where `mirrored`. */
const seenFrom =
  (centre: number, mirrored: boolean) =>
  (pair: TapedPair): TapedPair => {
    // Taped to a hundredth: the difference of two figures of a tape has no further digits.
    const x = Number(((mirrored ? -1 : 1) * (pair.x - centre)).toFixed(4))
    return mirrored
      ? {
          ...pair,
          x,
          existing: { left: pair.existing.right, right: pair.existing.left },
          sidePlus: pair.sideMinus,
          sideMinus: pair.sidePlus,
        }
      : { ...pair, x }
  }

const outward = (a: TapedPair, b: TapedPair) => Math.abs(a.x) - Math.abs(b.x)

/** What a part keeps of its train: identity, units and shelf. */
const common = (train: TrainMachine) => {
  const { machines: _, couplings: __, growth: ___, limitSets: ____, ...own } = train
  return own
}

const couplingPart = (train: TrainMachine, joint: TrainJoint, i: number): TrainPart => {
  const [left, right] = [train.machines[i], train.machines[i + 1]] as [TrainUnit, TrainUnit]
  const mirrored = joint.stationary === 'right'
  const [stationary, movable] = mirrored ? [right, left] : [left, right]
  const seen = seenFrom(joint.x, mirrored)
  const sets = setsFor(joint.couplingKind, train.limitSets ?? [])
  const machine = {
    ...common(train),
    drive: 'coupled' as const,
    rpm: joint.rpm,
    movableName: movable.name,
    stationaryName: stationary.name,
    usual: joint.usual,
    ...(joint.couplingType ? { couplingType: joint.couplingType } : {}),
    ...(joint.hubs ? { hubs: joint.hubs } : {}),
    tolerance: joint.tolerance,
    couplingKind: joint.couplingKind,
    feet: {
      movable: movable.feet.map(seen).sort(outward),
      stationary: stationary.feet.map(seen).sort(outward),
    },
    ...(sets.length > 0 ? { limitSets: sets } : {}),
  }
  const part: TrainPart = {
    id: joint.id,
    what: 'coupling',
    name: joint.name,
    machine,
    roles: { movable: movable.id, stationary: stationary.id },
    mirrored,
    ratio: joint.rpm / train.rpm,
  }
  return train.growth ? { ...part, machine: { ...machine, target: growthAt(part, train.growth) } } : part
}

const machinePart = (train: TrainMachine, unit: TrainUnit, i: number): TrainPart => {
  // Its limits and its speed are nobody's business here; a coupling's inside is looked at with the machine behind it.
  const joint = (train.couplings[i - 1] ?? train.couplings[i]) as TrainJoint
  const pairs = [...unit.feet].sort((a, b) => a.x - b.x)
  const before = train.couplings[i - 1]
  const centre = before ? before.x : (pairs[0]?.x ?? 0) - (train.units === 'inch' ? 1 : 25)
  const machine = {
    ...common(train),
    drive: 'coupled' as const,
    rpm: joint.rpm,
    movableName: unit.name,
    stationaryName: train.machines[i - 1]?.name ?? '',
    usual: joint.usual,
    ...(joint.couplingType ? { couplingType: joint.couplingType } : {}),
    tolerance: joint.tolerance,
    couplingKind: joint.couplingKind,
    ...(unit.bolts ? { bolts: unit.bolts } : {}),
    feet: { movable: pairs.map(seenFrom(centre, false)), stationary: [] },
    neighbours: [train.machines[i - 1]?.name ?? null, train.machines[i + 1]?.name ?? null] as const,
  }
  return {
    id: unit.id,
    what: 'machine',
    name: unit.name,
    machine,
    roles: { movable: unit.id, stationary: null },
    mirrored: false,
    ratio: joint.rpm / train.rpm,
  }
}

/** The parts of a train, each from the first machine on: the same objects for the same record. */
export interface TrainParts {
  readonly couplings: readonly TrainPart[]
  readonly machines: readonly TrainPart[]
  readonly byId: ReadonlyMap<string, TrainPart>
}

export const partsOf = remember((train: TrainMachine): TrainParts => {
  const couplings = train.couplings.map((joint, i) => couplingPart(train, joint, i))
  const machines = train.machines.map((unit, i) => machinePart(train, unit, i))
  return { couplings, machines, byId: new Map([...couplings, ...machines].map((p) => [p.id, p])) }
})
