import type { Bounds, FeelerReading } from '../../coupling/feelerBounds'
import { gapStraightedge, type GapStraightedgeResult } from '../../coupling/gapStraightedge'
import type { Plane } from '../../frame/planes'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { Outcome } from '../../outcome'
import type { CoupledMachine } from '../../register/coupledMachine'
import { feelerLimits, type FeelerLimits } from '../../register/hubs'
import { closureOf } from '../../trust/closure'
import { toCore, type Millimetres } from '../../units/unitSystem'
import { sizeVerdict } from '../../judge/sizeVerdict'
import type { FeltPlace } from './entries'
import type { RoughRound, RoughRounds } from './rounds'

/** A rim step or a face opening against what is close enough. Millimetres. */
export interface FeltQuantity {
  /** Null where it was not felt, or only bounded by a blade. */
  readonly value: Millimetres | null
  readonly bounds: Bounds
  readonly limit: Millimetres
  /** `unknown`: what the blade leaves open lies on both sides of the limit. Null where nothing was felt. */
  readonly verdict: 'in' | 'edge' | 'out' | 'unknown' | null
}

type InPlanes<T> = Readonly<Record<Plane, T>>
const inPlanes = <T>(of: (plane: Plane) => T): InPlanes<T> => ({ v: of('v'), h: of('h') })

/** What the feelers say of one look at the hubs. Millimetres. */
export interface RoughReading {
  readonly round: RoughRound
  readonly felt: GapStraightedgeResult
  /** Circle the gaps were felt on. */
  readonly diameter: Millimetres | null
  /** Height of the movable rim over the stationary one, offset at the coupling once radii are taken off. */
  readonly steps: InPlanes<FeltQuantity>
  /** The difference of two gaps across the hub: positive where the faces open at the bottom, or at 9. */
  readonly openings: InPlanes<FeltQuantity>
  readonly limits: FeelerLimits
  /** Hub radii that were taken off: movable less stationary. */
  readonly radiusDifference: Millimetres
  /** Diameters are neither registered nor given, and four places would be needed to do without. */
  readonly equalHubsAssumed: boolean
  /** (12 + 6) − (3 + 9) of the gaps; null where not all four were measured. */
  readonly closure: Millimetres | null
  readonly closes: boolean
  readonly axial: {
    readonly mean: Millimetres
    /** How far to move it apart (positive) or together until it lies in its window; null where no window is known. */
    readonly move: Millimetres | null
    readonly verdict: 'in' | 'out' | null
  } | null
  /** Made up, and bent together: instruments would read the bend. */
  readonly strained: boolean
  /** Steps and gaps were measured at 12, 3, 6 and 9. */
  readonly allFour: boolean
  /** What wants hands next. */
  readonly next: 'uncouple' | 'feel-again' | 'vertical' | 'horizontal' | 'all-four' | 'axial' | 'done'
  readonly verdict: 'in' | 'edge' | 'out' | null
}

/** Four feelers' worth of a mil each. */
export const GAPS_CLOSE = { inch: 4 * 0.0254, metric: 0.1 } as const
/** A made-up coupling with a step over this many times what is close enough bends its shafts. */
export const STRAINED_AT = 2
const QUARTERS = [0, 90, 180, 270]
const HAIR = 1e-9

const inCore = (places: readonly FeltPlace[], units: CoupledMachine['units']): readonly FeelerReading[] =>
  places.map((p) => {
    const mm = (t: number) => toCore(t, 'displacement', units)
    if ('value' in p) return { clock: p.clock, value: mm(p.value) }
    return 'passes' in p ? { clock: p.clock, passes: mm(p.passes) } : { clock: p.clock, stops: mm(p.stops) }
  })

/** The radii that come off the steps of these hubs. */
const radiiOf = (entry: LogEntry<'hubs-felt'>, limits: FeelerLimits): Millimetres => {
  const { hubs, units } = entry.payload
  return hubs
    ? (toCore(hubs.movable, 'distance', units) - toCore(hubs.stationary, 'distance', units)) / 2
    : (limits.radiusDifference ?? 0)
}

/** What the feelers of an entry come to, or why they can't be read: the stage refuses what this does. */
export const readFeelers = (
  machine: CoupledMachine,
  entry: LogEntry<'hubs-felt'>,
): Outcome<GapStraightedgeResult> => {
  const { steps, gaps, diameter, units } = entry.payload
  const limits = feelerLimits(machine)
  return gapStraightedge(
    {
      ...(gaps.length > 0 && diameter !== null
        ? { gaps: { diameter: toCore(diameter, 'distance', units), readings: inCore(gaps, units) } }
        : {}),
      ...(steps.length > 0
        ? { rises: { radiusDifference: radiiOf(entry, limits), readings: inCore(steps, units) } }
        : {}),
    },
    { units: machine.units, graduation: null, offsetLimit: null },
  )
}

const quantity = (value: number | null, bounds: Bounds, limit: Millimetres): FeltQuantity => {
  if (value !== null)
    return { value, bounds, limit, verdict: sizeVerdict(Math.abs(value), limit * (1 + HAIR)) }
  const [low, high] = bounds
  if (low === null && high === null) return { value, bounds, limit, verdict: null }
  const within = low !== null && high !== null && low >= -limit - HAIR && high <= limit + HAIR
  const outside = (low !== null && low > limit + HAIR) || (high !== null && high < -limit - HAIR)
  return { value, bounds, limit, verdict: within ? 'in' : outside ? 'out' : 'unknown' }
}

const times = (bounds: Bounds, factor: number): Bounds => [
  bounds[0] === null ? null : bounds[0] * factor,
  bounds[1] === null ? null : bounds[1] * factor,
]

const axialOf = (gaps: readonly FeelerReading[], { gap }: FeelerLimits): RoughReading['axial'] => {
  const at = new Map(gaps.flatMap((g) => ('value' in g ? [[g.clock, g.value] as const] : [])))
  const pairs = [
    [at.get(0), at.get(180)],
    [at.get(90), at.get(270)],
  ].flatMap(([a, b]) => (a === undefined || b === undefined ? [] : [(a + b) / 2]))
  if (pairs.length === 0) return null
  const mean = pairs.reduce((s, x) => s + x, 0) / pairs.length
  if (gap.least === null && gap.most === null) return { mean, move: null, verdict: null }
  const apart = Math.max(0, (gap.least ?? -Infinity) - mean)
  const together = Math.max(0, mean - (gap.most ?? Infinity))
  const move = apart > HAIR ? apart : together > HAIR ? -together : 0
  return { mean, move, verdict: move === 0 ? 'in' : 'out' }
}

const allOf = (places: readonly FeelerReading[]): boolean =>
  QUARTERS.every((q) => places.some((p) => p.clock === q && 'value' in p))

type Reached = 'in' | 'edge' | 'out' | 'unknown' | null
const good = (v: Reached) => v === 'in' || v === 'edge'

/** A plane is done when its step is close enough and its faces are, where they were felt. */
const planeDone = (step: FeltQuantity, opening: FeltQuantity): boolean =>
  good(step.verdict) && (opening.verdict === null || good(opening.verdict))

const readRound = remember((machine: CoupledMachine, round: RoughRound): RoughReading | null => {
  const entry = round.felt
  if (!entry) return null
  const felt = readFeelers(machine, entry)
  if (!felt.ok) return null
  const { units, coupled, hubs } = entry.payload
  const limits = feelerLimits(machine)
  const { coupling, bounds } = felt.value
  const diameter = entry.payload.diameter === null ? null : toCore(entry.payload.diameter, 'distance', units)
  const steps = inPlanes((p) => quantity(coupling.offset[p], bounds.offset[p], limits.rim))
  const openings = inPlanes((p) => {
    const slope = coupling.slope[p]
    return quantity(
      slope === null || diameter === null ? null : slope * diameter,
      times(bounds.slope[p], diameter ?? 0),
      limits.face,
    )
  })
  const gaps = inCore(entry.payload.gaps, units)
  const stepPlaces = inCore(entry.payload.steps, units)
  const values = gaps.flatMap((g) => ('value' in g ? [g] : []))
  const closure = closureOf(values)
  const closes = closure === null || Math.abs(closure) <= GAPS_CLOSE[machine.units] * (1 + HAIR)
  const axial = axialOf(gaps, limits)
  const strained =
    coupled && [steps.v, steps.h].some((s) => s.value !== null && Math.abs(s.value) > STRAINED_AT * s.limit)
  const allFour = allOf(gaps) && allOf(stepPlaces)
  const done = inPlanes((p) => planeDone(steps[p], openings[p]))
  const next = strained
    ? 'uncouple'
    : !closes
      ? 'feel-again'
      : !done.v
        ? 'vertical'
        : !done.h
          ? 'horizontal'
          : limits.whole && !allFour
            ? 'all-four'
            : axial?.verdict === 'out'
              ? 'axial'
              : 'done'
  const judged = [steps.v, steps.h, openings.v, openings.h].map((q) => q.verdict)
  const out = strained || !closes || judged.includes('out') || axial?.verdict === 'out'
  return {
    round,
    felt: felt.value,
    diameter,
    steps,
    openings,
    limits,
    radiusDifference: radiiOf(entry, limits),
    equalHubsAssumed: hubs === null && limits.radiusDifference === null && stepPlaces.length < 3,
    closure,
    closes,
    axial,
    strained,
    allFour,
    next,
    verdict: out ? 'out' : next !== 'done' ? null : judged.includes('edge') ? 'edge' : 'in',
  }
})

/** How the hubs stand by straightedge and feeler. */
export interface RoughIn {
  readonly rounds: RoughRounds
  /** One a round; null where nothing was felt. */
  readonly readings: readonly (RoughReading | null)[]
  /** The last that was felt; null before. */
  readonly latest: RoughReading | null
  /** Shims were laid or the machine was pushed since. */
  readonly stale: boolean
  /** Felt at all four places within what the maker asks, and nothing was moved since: the alignment is proved by it. */
  readonly proves: boolean
}

/** What the logbook says of the rough-in. */
export const checkRoughIn = remember((machine: CoupledMachine, rounds: RoughRounds): RoughIn => {
  const readings = rounds.map((round) => readRound(machine, round))
  const latest = readings.reduce<RoughReading | null>((found, r) => r ?? found, null)
  const stale = latest !== null && latest.round.moved !== null
  return {
    rounds,
    readings,
    latest,
    stale,
    proves: latest !== null && !stale && latest.limits.whole && latest.next === 'done',
  }
})
