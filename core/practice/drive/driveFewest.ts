import { fleetAngles, sheaveCorrections, type SheaveErrors, type SheaveLimits } from '../../belt/sheaveLine'
import type { Verdict } from '../../judge/judge'
import { LINE_STEPS, type LineStep } from '../../stages/lineUp/entries'
import type { DriveBench } from './driveBench'
import { ageNow, freshDrive, lineNow, tensionsNow, type DriveState } from './driveState'
import { judgeLine, judgeSet, limitsNow } from './driveTruth'

/** What is done to a drive, one at a time. */
export type DriveMove = LineStep | 'new-set' | 'tension'

/** The fewest moves that bring a drive in band, and what they are. */
export interface DriveFewest {
  readonly moves: readonly DriveMove[]
  readonly verdict: Verdict
}

const choices: readonly (readonly LineStep[])[] = Array.from({ length: 2 ** LINE_STEPS.length }, (_, mask) =>
  LINE_STEPS.filter((_, i) => mask & (1 << i)),
).sort((a, b) => a.length - b.length)

const BETTER: Readonly<Record<Verdict, number>> = { in: 2, edge: 1, out: 0 }

/** How far a line lies out, against the limit it lies furthest out of. */
const outBy = ({ offset, turn, tilt }: SheaveErrors, limits: SheaveLimits, span: number): number =>
  Math.max(
    fleetAngles({ offset, turn, tilt }, span).worst / limits.angle,
    Math.abs(tilt ?? 0) / limits.tilt,
    limits.offset === null ? 0 : Math.abs(offset) / limits.offset,
  )

/** Where a function that falls, then rises, is least. */
const lowest = (of: (x: number) => number, from: number, to: number): number => {
  let [a, b] = [from, to]
  for (let i = 0; i < 60; i++) {
    const third = (b - a) / 3
    if (of(a + third) < of(b - third)) b -= third
    else a += third
  }
  return (a + b) / 2
}

/**
 * The best line that these corrections alone can make, each by as much as helps most: shims change the offset with the
 * tilt, by the sums of a job; a motor may be turned to where its belts run in straight though its groove stands aside.
 */
const bestLine = (
  bench: DriveBench,
  errors: SheaveErrors,
  steps: readonly LineStep[],
  { limits, span }: { readonly limits: SheaveLimits; readonly span: number },
): SheaveErrors => {
  const { centre, footSpacing, sheaveToFeet, shaftHeight } = bench.geometry
  const { tilt } = sheaveCorrections(errors, centre, {
    footSpacing,
    sheaveToFeet,
    shaftHeight,
    screwPitch: null,
    hubToShaftEnd: null,
    lineAngle: 0,
    side: 1,
    motorSign: 1,
  })
  const after = (share: number): SheaveErrors => {
    const offset = steps.includes('offset') ? 0 : errors.offset + share * tilt.offsetChange
    return {
      offset,
      tilt: (1 - share) * (errors.tilt ?? 0),
      turn: steps.includes('turn') ? Math.atan(offset / span) : errors.turn,
    }
  }
  return steps.includes('tilt') ? after(lowest((s) => outBy(after(s), limits, span), -1, 3)) : after(0)
}

/** The fewest corrections of a line, by the sums of a job on the truth: every choice is tried, the smallest first. */
export const fewestOnLine = (bench: DriveBench, state: DriveState): DriveFewest => {
  const errors = lineNow(bench, state)
  const against = limitsNow(bench, state)
  let best: { moves: readonly LineStep[]; verdict: Verdict } = {
    moves: [],
    verdict: judgeLine(bench, state, errors),
  }
  for (const moves of choices) {
    if (best.verdict === 'in') break
    const verdict = judgeLine(bench, state, bestLine(bench, errors, moves, against))
    if (BETTER[verdict] > BETTER[best.verdict]) best = { moves, verdict }
  }
  return best
}

/**
 * The fewest moves from how a drive was found: its line, another set where the one on it does not match, and the screws
 * once, or twice where new belts leave their band by bedding in.
 */
export const fewestOnDrive = (bench: DriveBench): DriveFewest => {
  const found = freshDrive(bench)
  const line = fewestOnLine(bench, found)
  const renewed = bench.faults.has('mismatched-belt')
  const tensions = tensionsNow(bench, found)
  const asked = renewed || line.moves.length > 0 || judgeSet(bench, tensions, ageNow(bench, found)) !== 'in'
  const falls = !bench.set(renewed ? 1 : 0).runIn && bench.faults.has('bedding-belts')
  return {
    moves: [
      ...line.moves,
      ...(renewed ? (['new-set'] as const) : []),
      ...(asked ? (['tension'] as const) : []),
      ...(falls ? (['tension'] as const) : []),
    ],
    verdict: line.verdict,
  }
}
