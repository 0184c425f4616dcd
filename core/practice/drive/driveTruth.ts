import { fleetAngles, judgeSheaves, type SheaveErrors, type SheaveLimits } from '../../belt/sheaveLine'
import { lineLimitsOf, spreadLimitOf } from '../../belt/beltLimits'
import type { BeltAge } from '../../belt/tension'
import { marginIn, verdictOfMargin, worstVerdict, type Verdict } from '../../judge/judge'
import type { Millimetres, Newtons } from '../../units/unitSystem'
import type { DriveBench } from './driveBench'
import { driveNow } from './driveSeen'
import { ageNow, lineNow, tensionsNow, type DriveState } from './driveState'

/** How the drive on the bench really stands: what no edge and no gauge knows. */
export interface DriveTruth {
  /** The motor's sheave to the driven one, seen from the faces turned away from the motor. */
  readonly line: SheaveErrors
  /** Each belt, newtons; null while none is on. */
  readonly tensions: readonly Newtons[] | null
  readonly lineVerdict: Verdict
  readonly tensionVerdict: Verdict | null
  readonly verdict: Verdict
}

const isVerdict = (v: string): v is Verdict => v === 'in' || v === 'edge' || v === 'out'

/** The limits that a job judges the line by, and the span it runs over. Radians, millimetres. */
export const limitsNow = (
  bench: DriveBench,
  state: DriveState,
): { readonly limits: SheaveLimits; readonly span: Millimetres } => {
  const span = driveNow(bench, state)?.span ?? bench.geometry.centre
  const { angle, tilt, offset } = lineLimitsOf(bench.setting.machine, span)
  return { limits: { angle: angle.value, tilt: tilt.value, offset: offset.value }, span }
}

/** A line against them. */
export const judgeLine = (bench: DriveBench, state: DriveState, line: SheaveErrors): Verdict => {
  const { limits, span } = limitsNow(bench, state)
  return judgeSheaves(line, fleetAngles(line, span), limits).verdict
}

/** Tensions of a set against what belts of that age want, as a job judges them: each, and the set. */
export const judgeSet = (bench: DriveBench, tensions: readonly Newtons[], age: BeltAge): Verdict => {
  const band = bench.band[age]
  const mean = tensions.reduce((s, t) => s + t, 0) / Math.max(1, tensions.length)
  const spread = mean > 0 ? (Math.max(...tensions) - Math.min(...tensions)) / mean : 0
  const worst = worstVerdict([
    ...tensions.map((t) => verdictOfMargin(marginIn(t, band))),
    ...(spread > spreadLimitOf(bench.setting.machine).value ? (['out'] as const) : []),
  ])
  return isVerdict(worst) ? worst : 'out'
}

/** The drive as it really stands, judged. */
export const truthNow = (bench: DriveBench, state: DriveState): DriveTruth => {
  const line = lineNow(bench, state)
  const lineVerdict = judgeLine(bench, state, line)
  const tensions = state.beltsOn ? tensionsNow(bench, state) : null
  const tensionVerdict = tensions && judgeSet(bench, tensions, ageNow(bench, state))
  const worst = worstVerdict(tensionVerdict ? [lineVerdict, tensionVerdict] : [lineVerdict])
  return { line, tensions, lineVerdict, tensionVerdict, verdict: isVerdict(worst) ? worst : 'out' }
}
