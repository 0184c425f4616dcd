import { toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'
import type { BeltDrive } from './geometry'
import { BAND_FACTORS, DEFLECTION_SHARE, RATIO_AT_180, type BeltAge } from './tension'
import type { BandFactors, Interval } from './tensionBand'
import { SPREAD_LIMIT } from './beltSet'
import { STARTING_ALLOWANCES, type Allowances } from './replacement'
import { ANGLE_LIMITS, sheaveLimits, type BeltKind, type SheaveLimits } from './sheaveLine'

/** What a works judges its belt drives by; null where it says nothing of it. */
export interface BeltLimits {
  readonly id: string
  /** The kind of belt it holds for; null for every kind. */
  readonly kind: BeltKind | null
  readonly source: string
  readonly units: UnitSystem
  /** At the groove, whatever the span, in its own units; or so much of the span, in/ft or mm/m. */
  readonly offset: { readonly by: 'groove' | 'span'; readonly value: number } | null
  /** Fleet angle and tilt, degrees. */
  readonly angle: number | null
  readonly tilt: number | null
  /** Spread of a set over its mean, percent. */
  readonly spread: number | null
  readonly serviceFactor: number | null
  /** Tight to slack strand at half a turn of wrap. */
  readonly ratioAt180: number | null
  /** By which the static tension is multiplied, least and most. */
  readonly factors: Readonly<Record<BeltAge, Interval | null>>
  /** How far the gauge is pushed: the span, or the centre distance, over so much. */
  readonly gauge: { readonly of: 'span' | 'centre'; readonly over: number } | null
  /** Room to lay a belt on and to take its stretch up, percent of its length. */
  readonly fitting: number | null
  readonly takeUp: number | null
}

/** Used where the register and the works say no service factor (docs/methods/belt-tension.md); the maker's sheet rules. */
export const STARTING_SERVICE_FACTOR = 1.3

/** Who says it: the machine's own register, the works, or nobody: then it is a starting value. */
export type LimitBy = 'machine' | 'works' | 'starting'

/** What is asked of a drive, and who says so. */
export interface Ruled<T> {
  readonly value: T
  readonly by: LimitBy
  /** Where the machine's or the works' figure comes from; empty for a starting value. */
  readonly source: string
}

/** Those of the works that hold for a kind of belt, nearest first. */
export const beltLimitsFor = <L extends BeltLimits>(kind: BeltKind, limits: readonly L[]): readonly L[] => [
  ...limits.filter((l) => l.kind === kind),
  ...limits.filter((l) => l.kind === null),
]

/** A machine as far as its limits go. */
interface Limited {
  readonly units: UnitSystem
  readonly belts: { readonly kind: BeltKind }
  readonly limits: {
    readonly angle: number | null
    readonly tilt: number | null
    readonly offset: number | null
    readonly source: string
  }
  readonly tension?:
    | { readonly serviceFactor?: number | undefined; readonly stickerDeflection?: number | undefined }
    | undefined
  /** The site's table of its section. */
  readonly section?: { readonly spanOver: number; readonly source: string } | undefined
  /** The works', nearest first, as they were at the opening of a job. */
  readonly beltLimits?: readonly BeltLimits[] | undefined
}

/** The first of the works' tables that says it; null where none does. */
const fromWorks = <T>(machine: Limited, of: (limits: BeltLimits) => T | null): Ruled<T> | null => {
  for (const limits of machine.beltLimits ?? []) {
    const value = of(limits)
    if (value !== null) return { value, by: 'works', source: limits.source }
  }
  return null
}

const starting = <T>(value: T): Ruled<T> => ({ value, by: 'starting', source: '' })
const DEGREE = Math.PI / 180
const PERCENT = 0.01
/** in/ft and mm/m as shares of the span. */
const OF_SPAN: Readonly<Record<UnitSystem, number>> = { inch: 1 / 12, metric: 1 / 1000 }

const offsetOf = ({ offset, units }: BeltLimits, span: Millimetres): Millimetres | null =>
  offset &&
  (offset.by === 'groove' ? toCore(offset.value, 'distance', units) : offset.value * OF_SPAN[units] * span)

const radians = (x: number): number => x * DEGREE
/** The machine's own figure; null where its register says none. */
const ownOf = (
  { source }: Limited['limits'],
  said: number | null,
  core: (x: number) => number,
): Ruled<number> | null => (said === null ? null : { value: core(said), by: 'machine', source })

/** The angle at which belts may run into their grooves, radians. */
export const angleLimitOf = (machine: Limited): Ruled<number> =>
  ownOf(machine.limits, machine.limits.angle, radians) ??
  fromWorks(machine, (l) => l.angle && radians(l.angle)) ??
  starting(ANGLE_LIMITS[machine.belts.kind])

export type LineQuantity = keyof SheaveLimits
/** Limits of the line and who says each. Radians, millimetres. */
export type RuledLine = { readonly [Q in LineQuantity]: Ruled<SheaveLimits[Q]> }

/**
 * What the line of a drive is judged by, nearest first: the machine's own, the works', the starting value of its
 * kind of belt. Each quantity by itself. Source: docs/limits.md.
 */
export const lineLimitsOf = (machine: Limited, span: Millimetres): RuledLine => {
  const { units, limits } = machine
  const begin = sheaveLimits(machine.belts.kind, span, {})
  return {
    angle: angleLimitOf(machine),
    tilt:
      ownOf(limits, limits.tilt, radians) ??
      fromWorks(machine, (l) => l.tilt && radians(l.tilt)) ??
      starting(begin.tilt),
    offset:
      ownOf(limits, limits.offset, (x) => toCore(x, 'distance', units)) ??
      fromWorks(machine, (l) => offsetOf(l, span)) ??
      starting(begin.offset),
  }
}

/** Spread over the mean from which a set is unmatched or worn. */
export const spreadLimitOf = (machine: Limited): Ruled<number> =>
  fromWorks(machine, (l) => l.spread && l.spread * PERCENT) ?? starting(SPREAD_LIMIT)

/** By which power is multiplied: as registered, else the works', else the starting value. */
export const serviceFactorOf = (machine: Limited): Ruled<number> => {
  const own = machine.tension?.serviceFactor
  if (own !== undefined) return { value: own, by: 'machine', source: '' }
  return fromWorks(machine, (l) => l.serviceFactor) ?? starting(STARTING_SERVICE_FACTOR)
}

/** Tight to slack strand at half a turn of wrap. */
export const ratioAt180Of = (machine: Limited): Ruled<number> =>
  fromWorks(machine, (l) => l.ratioAt180) ?? starting(RATIO_AT_180)

/** Factors on the static tension for belts of one age. */
export const factorsOf = (machine: Limited, age: BeltAge): Ruled<Interval> =>
  fromWorks(machine, (l) => l.factors[age]) ?? starting(BAND_FACTORS[age])

export const bothFactorsOf = (machine: Limited): BandFactors => ({
  'run-in': factorsOf(machine, 'run-in').value,
  new: factorsOf(machine, 'new').value,
})

/**
 * How far the gauge is pushed: to the sticker's deflection, else by the site's table of the section, else by the works'
 * rule, else a sixty-fourth of the span.
 */
export const gaugeDeflectionOf = (
  machine: Limited,
  { span, centre }: Pick<BeltDrive, 'span' | 'centre'>,
): Ruled<Millimetres> => {
  const sticker = machine.tension?.stickerDeflection
  if (sticker !== undefined)
    return { value: toCore(sticker, 'distance', machine.units), by: 'machine', source: '' }
  const { section } = machine
  if (section) return { value: span / section.spanOver, by: 'works', source: section.source }
  return (
    fromWorks(machine, ({ gauge }) => gauge && (gauge.of === 'span' ? span : centre) / gauge.over) ??
    starting(span * DEFLECTION_SHARE)
  )
}

/** Room to lay a belt on and to take it up, as shares of its length, and who asks for it. */
export const roomOf = (machine: Limited): { readonly [A in keyof Allowances]: Ruled<number> } => {
  const room = (name: keyof Allowances): Ruled<number> =>
    fromWorks(machine, (l) => l[name] && l[name] * PERCENT) ?? starting(STARTING_ALLOWANCES[name])
  return { fitting: room('fitting'), takeUp: room('takeUp') }
}

/** The same room as a replacement is judged by. */
export const allowancesOf = (machine: Limited): Allowances => {
  const { fitting, takeUp } = roomOf(machine)
  return { fitting: fitting.value, takeUp: takeUp.value }
}
