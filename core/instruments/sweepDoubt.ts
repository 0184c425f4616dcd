import type { Misalignment } from '../frame/planes'
import { judge, type Judgement } from '../judge/judge'
import { judgedQuantities } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import type { ReadingSet } from '../stages/measure/readingSet'
import { arrangementModel } from '../uncertainty/arrangementModel'
import { termVariance } from '../uncertainty/chance'
import { lineCovariance } from '../uncertainty/linear'
import { NO_SPREAD } from '../uncertainty/spread'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { arcForShare, EVERY } from './sweep'

const NINETY_FIVE = 1.959963984540054
/** What a bracket, its lost motion and the bearings do to a reading, however often it is taken. Starting value. */
const STAYS: Millimetres = 0.003
const CLOCK: Degrees = 0.3

/** How well a sweep knows one judged quantity: half of its 95 % interval, in core units. */
export interface SweptDoubt {
  readonly name: string
  readonly known: number
  /** How far it is from the limit nearest to it. */
  readonly clear: number
  /** That limit lies inside the interval. */
  readonly straddles: boolean
}

/** Standard deviation of one kept reading: by how they misfit, and what no number of samples evens out. */
const readingSd = (set: ReadingSet): Millimetres => {
  const sets = set.measured?.trust.sets ?? []
  const scatter = sets.map((s) => s.residualRms * Math.sqrt((s.spare + 3) / Math.max(1, s.spare)))
  return Math.hypot(Math.max(set.setUp.coarsest / Math.sqrt(12), ...scatter), STAYS)
}

/** How well a set that was swept knows what is judged. Empty while it can't be fitted. */
export const sweptDoubt = (
  set: ReadingSet,
  tolerance: SettledTolerance,
  target: Misalignment,
): readonly SweptDoubt[] => {
  const model = set.arranged && arrangementModel(set.arranged.arrangement)
  const { measured } = set
  if (!model || !measured) return []
  const covariance = lineCovariance(model, { ...NO_SPREAD, reading: readingSd(set), clock: CLOCK })
  const judged = judge(measured.coupling, tolerance, target)
  return judgedQuantities(tolerance).map(({ name, terms }) => {
    const known = NINETY_FIVE * Math.sqrt(Math.max(0, ...terms.map((t) => termVariance(t, covariance))))
    const { value = null, low = null, high = null } = judged.quantities.find((q) => q.name === name) ?? {}
    const clear = Math.min(
      ...[low, high].flatMap((bound) => (bound === null || value === null ? [] : [Math.abs(value - bound)])),
    )
    return { name, known, clear, straddles: clear < known }
  })
}

/**
 * How far a sweep has to go before no doubt straddles a limit any more, as it shrinks with the arc; null where none
 * does. 360 where a full turn does not settle it either.
 */
export const arcToSettle = (arc: Degrees, doubts: readonly SweptDoubt[]): Degrees | null => {
  const open = doubts.filter((d) => d.straddles)
  if (open.length === 0) return null
  const share = Math.min(...open.map((d) => d.clear / d.known))
  return Math.min(360, Math.max(arc + EVERY, arcForShare(arc, share)))
}

/** A sweep short of this is turned on, whatever it says. */
export const LEAST_ARC: Degrees = 90
/** Where a sweep is first aimed at, while nothing can be told. */
const FIRST_AIM: Degrees = 180

/** What a sweep says by now, and how far it should go. */
export interface JudgedSweep {
  /** Null while it can't be fitted. */
  readonly judged: Judgement | null
  readonly doubts: readonly SweptDoubt[]
  /** The arc to go on to; null where it can be taken as it stands. */
  readonly aim: Degrees | null
  /** An arc short of a full turn should settle what is open. */
  readonly settles: boolean
}

/** Judges the set of a sweep that has come so far; none while it is too short to be fitted. */
export const judgeSweep = (
  set: ReadingSet | null,
  arc: Degrees,
  tolerance: SettledTolerance,
  target: Misalignment,
): JudgedSweep => {
  const line = set?.measured?.coupling
  if (!set || !line) return { judged: null, doubts: [], aim: FIRST_AIM, settles: true }
  const doubts = sweptDoubt(set, tolerance, target)
  const aim = arcToSettle(arc, doubts) ?? (arc < LEAST_ARC ? LEAST_ARC : null)
  return { judged: judge(line, tolerance, target), doubts, aim, settles: aim !== null && aim < 360 }
}
