import {
  ERROR_COUNT,
  errorSpread,
  solveWithErrors,
  type ArrangementModel,
  type CircleModel,
} from './arrangementModel'
import { amplitudeCovariance, lineCovariance, sharesClock } from './linear'
import { BLOCK, column, type LineColumns, type LineDrawing, type LineModel } from './lineModel'
import type { Spread } from './spread'

const RADIAN = Math.PI / 180

/** Adds what wrong clock angles do to a circle's amplitudes; one column of angles a reading. */
const addClockErrors = (
  circle: CircleModel,
  turn: number,
  angles: readonly Float64Array[],
  cosErrors: Float64Array,
  sinErrors: Float64Array,
) => {
  const count = circle.clocks.length
  for (let r = 0; r < count; r++) {
    const z = angles[r] as Float64Array
    const turned = circle.turned[r] as number
    const quarter = circle.quarter[r] as number
    const cos = circle.weights.cos[r] as number
    const sin = circle.weights.sin[r] as number
    for (let i = 0; i < BLOCK; i++) {
      // The pointer stood off by this much while the round number was written down:
      // cos(x + e) - cos(x), and so for the sine, by the sum of angles.
      const e = turn * (z[i] as number)
      const square = e * e
      const small = square < 0.0025
      const sine = small ? e * (1 - (square * (1 - square * 0.05)) / 6) : Math.sin(e)
      const loss = small ? -square * (0.5 - square / 24) : Math.cos(e) - 1
      const error = turned * loss + quarter * sine
      cosErrors[i] = (cosErrors[i] as number) + cos * error
      sinErrors[i] = (sinErrors[i] as number) + sin * error
    }
  }
}

/** Lower triangular root of what reading errors make of both amplitudes. */
const amplitudeRoot = (circle: CircleModel, sd: Spread) => {
  const [aa, ab, bb] = amplitudeCovariance(circle, { ...sd, clock: 0 })
  const root = Math.sqrt(aa)
  const cross = root > 0 ? ab / root : 0
  return { root, cross, left: Math.sqrt(Math.max(0, bb - cross * cross)) }
}

/** Stands for the errors of what is certain. */
const NO_ERRORS = column()

/**
 * Draws of an arrangement of two circles. Sums of normal reading errors are normal: two draws stand for all
 * readings of a circle, exactly. Clock errors go through the real turn; dials on one bracket stop together
 * and share them.
 */
const drawingOf = (model: ArrangementModel, sd: Spread): LineDrawing => {
  const [a, b] = model.circles
  const { join } = model.arrangement
  const turn = sd.clock * RADIAN
  const shared = turn !== 0 && sharesClock(model)
  const anglesAt = 4
  const one = turn === 0 ? 0 : a.clocks.length
  const two = turn === 0 || shared ? 0 : b.clocks.length
  const spreads = errorSpread(model, sd)
  // Sag, diameter and plane of either circle, and the spool: those that are uncertain get a column each.
  let next = anglesAt + one + two
  const columnOf = Array.from({ length: ERROR_COUNT }, (_, e) => ((spreads[e] as number) > 0 ? next++ : -1))
  const rootA = amplitudeRoot(a, sd)
  const rootB = amplitudeRoot(b, sd)
  const [clockCosA, clockSinA, clockCosB, clockSinB] = [column(), column(), column(), column()]

  /** The lines of a block, all errors in one pass. */
  const linesInto = (z: readonly Float64Array[], lines: LineColumns): void => {
    const error = (e: number) => z[columnOf[e] as number] ?? NO_ERRORS
    const by = (e: number) => spreads[e] as number
    const [a1, a2, b1, b2] = z as unknown as readonly [Float64Array, Float64Array, Float64Array, Float64Array]
    const [sagA, sagB, diameterA, diameterB] = [error(2), error(7), error(3), error(8)]
    const [atA, atB, spool] = [error(4), error(9), error(10)]
    const [sagByA, sagByB, planeByA, planeByB] = [by(2), by(7), by(4), by(9)]
    const leverByA = a.leverPerDiameter * by(3)
    const leverByB = b.leverPerDiameter * by(8)
    const [cosA, sinA, leverA, planeA] = [a.cos - a.sag, a.sin, a.lever, a.plane]
    const [cosB, sinB, leverB, planeB] = [b.cos - b.sag, b.sin, b.lever, b.plane]
    const { root: rA, cross: xA, left: lA } = rootA
    const { root: rB, cross: xB, left: lB } = rootB
    const offsetV = lines[0]
    const offsetH = lines[1]
    const slopeV = lines[2]
    const slopeH = lines[3]
    const kind = join.kind
    const length = join.kind === 'two-slopes' ? join.spoolLength : 0
    const spoolBy = by(10)
    for (let i = 0; i < BLOCK; i++) {
      const za = a1[i] as number
      const zb = b1[i] as number
      const perA = 1 / (leverA + leverByA * (diameterA[i] as number))
      const perB = 1 / (leverB + leverByB * (diameterB[i] as number))
      const va = (cosA + rA * za + (clockCosA[i] as number) - sagByA * (sagA[i] as number)) * perA
      const ha = (sinA + xA * za + lA * (a2[i] as number) + (clockSinA[i] as number)) * perA
      const vb = (cosB + rB * zb + (clockCosB[i] as number) - sagByB * (sagB[i] as number)) * perB
      const hb = (sinB + xB * zb + lB * (b2[i] as number) + (clockSinB[i] as number)) * perB
      const x = planeA + planeByA * (atA[i] as number)
      // joinPlaneInto of both planes, over columns.
      if (kind === 'two-slopes') {
        const half = (length + spoolBy * (spool[i] as number)) / 2
        offsetV[i] = (va - vb) * half
        offsetH[i] = (ha - hb) * half
        slopeV[i] = va + vb
        slopeH[i] = ha + hb
      } else {
        const per = kind === 'two-positions' ? 1 / (planeB + planeByB * (atB[i] as number) - x) : 0
        const v = per === 0 ? vb : (vb - va) * per
        const h = per === 0 ? hb : (hb - ha) * per
        slopeV[i] = v
        slopeH[i] = h
        offsetV[i] = va - v * x
        offsetH[i] = ha - h * x
      }
    }
  }

  const into = (z: readonly Float64Array[], lines: LineColumns): void => {
    if (turn !== 0) {
      for (const errors of [clockCosA, clockSinA, clockCosB, clockSinB]) errors.fill(0)
      const angles = z.slice(anglesAt, anglesAt + one)
      addClockErrors(a, turn, angles, clockCosA, clockSinA)
      const others = shared ? angles : z.slice(anglesAt + one, anglesAt + one + two)
      addClockErrors(b, turn, others, clockCosB, clockSinB)
    }
    linesInto(z, lines)
  }
  return { count: next, into }
}

/** Two circles as the source of a line. Exact draws, linear propagation beside them. */
export const dialLine = (model: ArrangementModel): LineModel => {
  const nominal = new Float64Array(4)
  solveWithErrors(model, new Float64Array(ERROR_COUNT), nominal)
  const [a, b] = model.circles
  const both = { v: a.weights.tellsV && b.weights.tellsV, h: a.weights.tellsH && b.weights.tellsH }
  // A position at the coupling centre, and a slope, stand alone; everything else needs both circles.
  const alone = model.arrangement.join.kind === 'position-and-slope'
  const [byA, byB] = [alone && a.plane === 0 && a.planeCounts === 0, alone]
  const tells = [
    byA ? a.weights.tellsV : both.v,
    byA ? a.weights.tellsH : both.h,
    byB ? b.weights.tellsV : both.v,
    byB ? b.weights.tellsH : both.h,
  ] as const
  return {
    tells,
    hubUnknown: model.circles.some((c) => c.hubUnknown === 1),
    nominal: nominal.map((x, i) => (tells[i] ? x : 0)),
    covariance: (sd) => lineCovariance(model, sd),
    drawing: (sd) => drawingOf(model, sd),
  }
}
