import type { TrainMachine } from '../../../core/register/trainMachine'
import type { GrowthSet } from '../../../core/stages/trainGrowth/entries'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import type { Remark } from '../../forms/typed'
import type { Telling } from '../../wording/telling'
import {
  blankRise,
  blankTarget,
  nameTargetUnits,
  pairKey,
  readTarget,
  sameAtBothEnds,
  textsOfTarget,
  type GrowingPair,
  type RiseTexts,
  type TargetTexts,
} from '../target/form'

/** What stands on the board of a growing line: boxes of each machine as a cold target has them, by machine. */
export interface GrowthTexts {
  units: UnitSystem
  cold: string
  source: string
  machines: Record<string, Record<string, RiseTexts>>
}

/** The pairs of one machine as the boxes of a cold target know them. Millimetres from its first pair on. */
const pairsOf = (train: TrainMachine, id: string): readonly GrowingPair[] => {
  const feet = train.machines.find((m) => m.id === id)?.feet ?? []
  const [first] = feet
  return feet.map((f) => ({
    machine: 'movable',
    id: f.id,
    x: toCore(f.x - (first?.x ?? 0) + 1, 'distance', train.units),
  }))
}

export const boxKey = (pair: string): string => pairKey({ machine: 'movable', id: pair })

const targetOf = (texts: GrowthTexts, id: string): TargetTexts => ({
  ...blankTarget(texts.units, []),
  units: texts.units,
  way: 'growth',
  cold: texts.cold,
  feet: texts.machines[id] ?? {},
})

export const blankGrowth = (train: TrainMachine, units: UnitSystem): GrowthTexts => ({
  units,
  cold: blankTarget(units, []).cold,
  source: '',
  machines: Object.fromEntries(
    train.machines.map((m) => [m.id, Object.fromEntries(m.feet.map((f) => [boxKey(f.id), blankRise()]))]),
  ),
})

/** The boxes that say what the growth in force says. */
export const textsOfGrowth = (set: GrowthSet, train: TrainMachine, units: UnitSystem): GrowthTexts => {
  const texts = blankGrowth(train, units)
  texts.source = set.source
  for (const m of set.machines) {
    const pairs = pairsOf(train, m.machine)
    const read = textsOfTarget(
      {
        units: set.units,
        source: '',
        learned: null,
        given: {
          way: 'growth',
          machines: [{ machine: 'movable', feet: m.feet.map((f) => ({ ...f, x: 1 })) }],
        },
      },
      units,
      pairs,
    )
    texts.machines[m.machine] = read.feet
    if (m.feet.some((f) => f.heat)) texts.cold = read.cold
  }
  return texts
}

/** The same texts meaning the same in other units. */
export const nameGrowthUnits = (texts: GrowthTexts, was: UnitSystem): void => {
  let cold = texts.cold
  for (const id of Object.keys(texts.machines)) {
    const target = { ...targetOf(texts, id), units: was }
    nameTargetUnits(target, was)
    cold = target.cold
  }
  texts.cold = cold
}

const isBegun = (own: RiseTexts): boolean =>
  [own.height, own.running, own.rise, own.side].some((t) => t.trim() !== '')

export interface GrowthRead {
  /** By `machine.pair key.box`, and `cold`. */
  readonly remarks: Readonly<Record<string, Remark>>
  readonly questions: readonly string[]
  readonly payload: GrowthSet | null
}

/** Reads the board: a machine with nothing typed does not grow. */
export const readGrowth = (texts: GrowthTexts, train: TrainMachine, telling: Telling): GrowthRead => {
  const remarks: Record<string, Remark> = {}
  const questions: string[] = []
  const machines: GrowthSet['machines'][number][] = []
  let whole = true
  for (const { id } of train.machines) {
    const own = texts.machines[id] ?? {}
    if (!Object.values(own).some(isBegun)) continue
    const read = readTarget(targetOf(texts, id), pairsOf(train, id), telling)
    for (const [at, remark] of Object.entries(read.remarks))
      remarks[at === 'cold' ? 'cold' : `${id}.${at}`] = remark
    questions.push(...read.questions)
    const given = read.payload?.given
    const feet = given?.way === 'growth' ? given.machines[0]?.feet : undefined
    if (!feet) whole = false
    else machines.push({ machine: id, feet: feet.map(({ x: _, ...rise }) => rise) })
  }
  return {
    remarks,
    questions,
    payload:
      whole && machines.length > 0 ? { units: telling.units, machines, source: texts.source.trim() } : null,
  }
}

/** Fills the empty boxes of a machine's other pair like those of the first one somebody typed into. */
export const growAlike = (texts: GrowthTexts, train: TrainMachine, id: string): void =>
  sameAtBothEnds(targetOf(texts, id), pairsOf(train, id), 'movable')
