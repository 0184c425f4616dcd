import type { DialArrangement } from '../coupling/dialCircle'
import type { FootPlane } from '../coupling/feet'
import type { HarmonicFit } from '../fit/harmonicFit'
import type { Misalignment } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'
import { arrangementModel } from './arrangementModel'
import { covarianceAfterMove, lineCovariance, type LineCovariance } from './linear'
import { ORDINARY_HANDS } from './ordinaryHands'
import { NO_SPREAD } from './spread'

/** How far a measured change of the line may be off by itself, and where doubt of it begins. */
export interface ChangeDoubt {
  /** Of (offset.v, offset.h, slope.v, slope.h) of the change, 4 x 4. */
  readonly covariance: LineCovariance
  /** Squared distance, in standard deviations, that an honest change exceeds in 5 % of planes. */
  readonly limit: number
}

/** 95 % of two numbers whose correlation is known: chi-square with two degrees of freedom. */
const CORRELATION_KNOWN = 5.991464547107979
/** The same when it is not: never more than 5 %, whatever the correlation. */
const CORRELATION_UNKNOWN = 2 * 1.959963984540054 ** 2

/** One set by dials of half a mil in ordinary hands, as it comes out on most couplings. */
const TYPICAL = { offset: 0.4 * 0.0254, slope: 0.00008 }
/** How many repeats the typical spread weighs as much as, beside a repeat that was taken. */
const PRIOR = 3

/** Doubt of a change between two measurements that each have this covariance. */
export const doubtOfCovariance = (one: LineCovariance): ChangeDoubt => ({
  covariance: one.map((x) => 2 * x),
  limit: CORRELATION_KNOWN,
})

/** Doubt of a change between two measurements that each have these standard deviations. */
export const doubtOfSd = (sd: Misalignment): ChangeDoubt => {
  const covariance = new Float64Array(16)
  ;[sd.offset.v, sd.offset.h, sd.slope.v, sd.slope.h].forEach((x, i) => {
    covariance[5 * i] = 2 * (x ?? 0) ** 2
  })
  return { covariance, limit: CORRELATION_UNKNOWN }
}

/**
 * Standard deviations of one measurement of which none were stated: those of ordinary hands, drawn
 * toward what two sets of one round differed by when that is known.
 */
export const typicalSd = (repeat: Misalignment | null): Misalignment => {
  const of = (typical: number, differed: number | null | undefined) =>
    differed == null ? typical : Math.sqrt((PRIOR * typical ** 2 + differed ** 2 / 2) / (PRIOR + 1))
  return {
    offset: { v: of(TYPICAL.offset, repeat?.offset.v), h: of(TYPICAL.offset, repeat?.offset.h) },
    slope: { v: of(TYPICAL.slope, repeat?.slope.v), h: of(TYPICAL.slope, repeat?.slope.h) },
  }
}

/** A round of readings as far as its own scatter goes. */
export interface ReadRound {
  /** Of its last set. */
  readonly arrangement: DialArrangement
  readonly sets: number
  readonly fits: readonly HarmonicFit[]
}

/** Residuals of this many readings weigh as much as what a dial of this graduation does in ordinary hands. */
const USUAL_SPARE = 4

/** Standard deviation of one reading, from the residuals of the rounds and what such a dial usually does. */
export const readingSd = (rounds: readonly ReadRound[], graduation: Millimetres): Millimetres => {
  const usual = Math.hypot(ORDINARY_HANDS.reading, graduation / Math.sqrt(12))
  let squares = USUAL_SPARE * usual ** 2
  let spare = USUAL_SPARE
  for (const fit of rounds.flatMap((r) => r.fits)) {
    squares += fit.residualRms ** 2 * fit.residuals.length
    spare += fit.spare
  }
  return Math.sqrt(squares / spare)
}

/**
 * Doubt of the change that a move made, measured before and after with one set-up: scatter of both
 * rounds, and what shims, side moves and settling do at the outer pairs. Sag and planes are the same both
 * times and drop out; a wrong tape scales the change. Null when a round can't be solved.
 */
export const doubtOfMove = (given: {
  readonly before: ReadRound
  readonly after: ReadRound
  readonly graduation: Millimetres
  readonly feet: readonly [FootPlane, FootPlane]
  readonly moves: readonly [
    { readonly v: number; readonly h: number },
    { readonly v: number; readonly h: number },
  ]
}): ChangeDoubt | null => {
  const reading = readingSd([given.before, given.after], given.graduation)
  const measured = new Float64Array(16)
  for (const round of [given.before, given.after]) {
    const model = arrangementModel(round.arrangement)
    if (!model) return null
    const one = lineCovariance(model, { ...NO_SPREAD, reading, clock: ORDINARY_HANDS.clock })
    one.forEach((x, i) => (measured[i] = (measured[i] as number) + x / Math.max(1, round.sets)))
  }
  return {
    covariance: covarianceAfterMove(measured, given.feet, given.moves, ORDINARY_HANDS),
    limit: CORRELATION_KNOWN,
  }
}
