import type { FootPlane } from '../../coupling/feet'
import type { Misalignment, Plane } from '../../frame/planes'
import type { Judgement } from '../../judge/judge'
import { judgedQuantities } from '../../judge/quantities'
import type { SettledTolerance } from '../../judge/tolerance'
import { remember } from '../../logbook/remember'
import { MACHINE_ROLES, type MachineRole } from '../../plan/pairNames'
import type { PlanInput } from '../../plan/movePlan'
import { arrangementModel } from '../../uncertainty/arrangementModel'
import { chanceInBand, termVariance } from '../../uncertainty/chance'
import { readingSd, typicalSd } from '../../uncertainty/changeDoubt'
import { covarianceAfterMove, lineCovariance, type LineCovariance } from '../../uncertainty/linear'
import { ORDINARY_HANDS } from '../../uncertainty/ordinaryHands'
import { NO_SPREAD } from '../../uncertainty/spread'
import type { Millimetres } from '../../units/unitSystem'
import type { Measurement } from '../measure/measurement'
import { readRound } from '../measure/readRound'
import type { SetUp } from '../setUp/setUp'

/** How well the line is known that a plan starts from: of (offset.v, offset.h, slope.v, slope.h), mm and mm/mm. */
export interface LineDoubt {
  readonly covariance: LineCovariance
  /** Sets that were taken together. */
  readonly sets: number
  /** Of one reading; null where it was not told by the readings themselves. */
  readonly reading: Millimetres | null
}

const NINETY_FIVE = 1.959963984540054

/**
 * Doubt of a measurement: scatter of its readings and clock angles, which more sets even out, and sag,
 * tape and a still hub, which they don't. Ordinary hands where the readings don't tell
 * (docs/methods/uncertainty.md).
 */
export const lineDoubt = remember((m: Measurement, setUp: SetUp): LineDoubt => {
  const round = readRound(m)
  const model = round && arrangementModel(round.arrangement)
  if (!round || !model) {
    const covariance = new Float64Array(16)
    const sd = typicalSd(null)
    ;[sd.offset.v, sd.offset.h, sd.slope.v, sd.slope.h].forEach((x, i) => {
      covariance[5 * i] = (x ?? 0) ** 2
    })
    return { covariance, sets: m.used.length, reading: null }
  }
  const reading = readingSd([round], setUp.coarsest)
  const { clock, distance, sag, runout } = ORDINARY_HANDS
  const scatter = lineCovariance(model, { ...NO_SPREAD, reading, clock })
  const steady = lineCovariance(model, { ...NO_SPREAD, distance, sag, runout })
  const sets = Math.max(1, round.sets)
  return { covariance: steady.map((x, i) => x + (scatter[i] as number) / sets), sets, reading }
})

/** Half of the 95 % interval of where the axis stands at x, one plane. */
export const halfWidthAt = ({ covariance: c }: LineDoubt, plane: Plane, x: Millimetres): Millimetres => {
  const [o, s] = plane === 'v' ? [0, 2] : [1, 3]
  const variance = (c[5 * o] as number) + 2 * x * (c[4 * o + s] as number) + x * x * (c[5 * s] as number)
  return NINETY_FIVE * Math.sqrt(Math.max(0, variance))
}

type MovedFoot = FootPlane & { readonly machine?: MachineRole; readonly v: number; readonly h: number }

/** What one machine's moves add to the doubt; the same either way it goes. */
const movedInHands = (covariance: LineCovariance, feet: readonly MovedFoot[]): LineCovariance => {
  const [near, far] = [feet[0], feet[feet.length - 1]]
  const moved = (plane: Plane) => feet.some((f) => Math.abs(f[plane]) > 1e-9)
  const [v, h] = [moved('v'), moved('h')]
  // A plane that nothing is done in keeps what it had.
  const hands = {
    ...NO_SPREAD,
    distance: ORDINARY_HANDS.distance,
    shim: v ? ORDINARY_HANDS.shim : 0,
    settling: v ? ORDINARY_HANDS.settling : 0,
    side: h ? ORDINARY_HANDS.side : 0,
  }
  return near && far && near !== far && (v || h)
    ? covarianceAfterMove(covariance, [near, far], [near, far], hands)
    : covariance
}

/** Chance that everything judged lies in its band after these moves, of either machine or both, made in ordinary hands. */
export const chanceAfter = (
  predicted: Misalignment,
  feet: readonly MovedFoot[],
  covariance: LineCovariance,
  tolerance: SettledTolerance,
  target: Misalignment,
): number => {
  const after = MACHINE_ROLES.reduce(
    (known, role) =>
      movedInHands(
        known,
        feet.filter((f) => (f.machine ?? 'movable') === role),
      ),
    covariance,
  )
  return chanceInBand(predicted, after, tolerance, target)
}

/** What is worth knowing before a machine is moved. */
export interface MoveAdvice {
  /** Chance that it is in band as it stands. */
  readonly now: number
  /** Chance after the plan that is most likely to end in band; null where there is none. */
  readonly best: number | null
  /** The same if the readings were exact. */
  readonly exact: number | null
  /** Judged quantities known worse than their band is wide: half of the interval, half of the band. */
  readonly wide: readonly { readonly name: string; readonly known: number; readonly band: number }[]
  readonly says: 'move' | 'measure-again' | 'leave'
}

const EVEN = 0.5
/** Less than this is gained by a move that nobody would notice. */
const WORTH = 0.05

/** Quantities whose 95 % interval as measured is wider than their band. */
const wideQuantities = (tolerance: SettledTolerance, covariance: LineCovariance): MoveAdvice['wide'] =>
  judgedQuantities(tolerance).flatMap(({ name, terms }) => {
    const [first] = terms
    if (!first) return []
    const vector = terms.length > 1
    const [low, high] = vector ? [0, first.band[1]] : first.band
    if (low === null || high === null) return []
    const known = NINETY_FIVE * Math.sqrt(Math.max(0, ...terms.map((t) => termVariance(t, covariance))))
    const band = (high - low) / 2
    return known > band ? [{ name, known, band }] : []
  })

/**
 * Whether to measure again, to move, or to leave it: what the readings leave open against the bands, and
 * what the best plan would gain.
 */
export const adviseMove = (
  input: PlanInput,
  now: Judgement | null,
  plans: readonly { readonly predicted: Misalignment; readonly moves: readonly MovedFoot[] }[],
  doubt: LineDoubt,
): MoveAdvice => {
  const { coupling, tolerance, target } = input
  const chances = (covariance: LineCovariance) =>
    plans.map((p) => chanceAfter(p.predicted, p.moves, covariance, tolerance, target))
  const most = (list: readonly number[]) => (list.length > 0 ? Math.max(...list) : null)
  const asItStands = chanceInBand(coupling, doubt.covariance, tolerance, target)
  const best = most(chances(doubt.covariance))
  const exact = most(chances(new Float64Array(16)))
  const wide = wideQuantities(tolerance, doubt.covariance)
  const measuring = best !== null && exact !== null && best < EVEN && exact >= EVEN
  const inside = now?.verdict === 'in' || now?.verdict === 'edge'
  const says =
    wide.length > 0 || measuring
      ? 'measure-again'
      : inside && (best === null || best - asItStands < WORTH)
        ? 'leave'
        : 'move'
  return { now: asItStands, best, exact, wide, says }
}
