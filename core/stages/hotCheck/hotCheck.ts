import { targetFromHotCheck } from '../../coupling/hotCheck'
import { ALIGNED, lineDifference, PLANES, type Misalignment } from '../../frame/planes'
import { growthTarget } from '../../growth/growth'
import { judge, type Judgement } from '../../judge/judge'
import type { SettledTolerance } from '../../judge/tolerance'
import { remember } from '../../logbook/remember'
import { toCore } from '../../units/unitSystem'
import { measureRound, type Measurement, type NotedSet } from '../measure/measurement'
import { amountsToNothing, machinesOf, type ColdTarget } from '../target/target'
import type { LeftCold } from './entries'
import type { HotRun } from './hotRun'
import { coolingRate, settledSince, temperatureAt, warmingOf, type Warming } from './temperatures'

/** What a hot check says. Millimetres and mm/mm. */
export interface HotCheck {
  readonly run: HotRun
  readonly warming: readonly Warming[]
  /** Milliseconds; null while temperatures haven't stood still. */
  readonly settledSince: number | null
  /** Degrees C a minute behind the stop, where it was logged. */
  readonly coolingRate: number | null
  /** The sets read on the warm machine, held against a straight one. */
  readonly measurement: Measurement
  /** What it cooled between the stop and the reading, put back; null where it can't be known. */
  readonly putBack: Misalignment | null
  /** As it lay when it was stopped. */
  readonly hot: Misalignment | null
  readonly judgement: Judgement | null
  /** As it was left cold: in this job, or by the one before. */
  readonly cold: Misalignment | null
  /** Where it was meant to lie hot. */
  readonly planned: Misalignment | null
  /** The cold target that would make it straight when hot: cold less hot. */
  readonly target: Misalignment | null
}

const leftCold = remember(({ line, units }: LeftCold): Misalignment => {
  const small = (x: number) => toCore(x, 'displacement', units)
  const lean = (x: number) => toCore(x, 'slope', units)
  return {
    offset: { v: small(line.offset.v), h: small(line.offset.h) },
    slope: { v: lean(line.slope.v), h: lean(line.slope.h) },
  }
})

/**
 * What the machine moved between the stop and the reading because it cooled: growth by its own heights and
 * materials, from the temperatures logged. Null unless the target says how every pair grows and each has a
 * temperature from after the stop.
 */
export const cooledSince = (
  warming: readonly Warming[],
  { payload }: ColdTarget,
  stopped: number,
  read: number,
): Misalignment | null => {
  if (payload?.given.way !== 'growth') return null
  const machines = machinesOf(payload.given, payload.units)
  let known = true
  const cooled = machines.map((m) => ({
    role: m.role,
    feet: m.feet.map((f) => {
      const w = warming.find((x) => x.machine === m.role && x.pair === f.id)
      const last = w?.points[w.points.length - 1]
      const [then, now] = w ? [temperatureAt(w, stopped), temperatureAt(w, read)] : [null, null]
      if ('typed' in f || then === null || now === null || !last || last.at <= stopped) {
        known = false
        return f
      }
      return { ...f, rise: now - then, sideRise: 0 }
    }),
  }))
  // The movable axis against the stationary one: what rises on the one side falls on the other.
  return known ? lineDifference(ALIGNED, growthTarget(cooled).target) : null
}

const usedSets = (m: Measurement): readonly NotedSet[] =>
  m.sets.filter((s) => m.used.includes(s.set.entry.id))
const readAt = (m: Measurement): number => {
  const times = usedSets(m).map((s) => Date.parse(s.set.entry.madeAt))
  return times.reduce((sum, t) => sum + t, 0) / Math.max(1, times.length)
}

/** Works a hot check out. `leftHere` is the line that this job itself had left cold when the run began. Remembered while nothing of it changes. */
export const checkHot = remember(
  (
    run: HotRun,
    measurement: Measurement,
    coldTarget: ColdTarget,
    tolerance: SettledTolerance,
    leftHere: Misalignment | Unknown,
  ): HotCheck => {
    const warming = warmingOf(run.temperatures)
    const stopped = run.ended && Date.parse(run.ended.payload.at)
    const measured = measurement.coupling
    const putBack =
      stopped !== null && measured
        ? lineOrNull(cooledSince(warming, coldTarget, stopped, readAt(measurement)))
        : null
    const hot = measured && (putBack ? lineDifference(measured, putBack) : measured)
    const left = run.begun?.payload.left ?? null
    const cold = 'unknown' in leftHere ? left && leftCold(left) : leftHere
    // Answered for, another target may be in force: planned was what went before it.
    const aimed = run.answered ? null : coldTarget.line
    return {
      run,
      warming,
      settledSince: settledSince(warming, stopped),
      coolingRate: stopped === null ? null : coolingRate(warming, stopped),
      measurement,
      putBack,
      hot,
      // A window stands for the cold machine: it says nothing of the warm one.
      judgement: hot && tolerance.form !== 'window' ? judge(hot, tolerance, ALIGNED) : null,
      cold,
      planned: cold && aimed ? lineDifference(cold, aimed) : null,
      target: cold && hot ? targetFromHotCheck(cold, hot) : null,
    }
  },
)

export interface Unknown {
  readonly unknown: true
}
export const UNKNOWN: Unknown = { unknown: true }

/** A line that is nothing anywhere puts nothing back. */
const lineOrNull = (line: Misalignment | null): Misalignment | null =>
  line && PLANES.some((p) => Math.abs(line.offset[p] ?? 0) > 1e-9 || Math.abs(line.slope[p] ?? 0) > 1e-12)
    ? line
    : null

/** The sets of a run together, held against a straight machine. */
export const measureHot = (sets: readonly NotedSet[], tolerance: SettledTolerance): Measurement =>
  measureRound(tolerance, ALIGNED, ...sets)

/**
 * How it is expected to go as it warms, where a target is aimed at that no hot check has borne out: closed now it
 * is provisional. Null where nothing is set off, or it was learned from a hot check.
 */
export const expectedToGo = remember(
  (target: ColdTarget, tolerance: SettledTolerance): Misalignment | null =>
    target.payload?.learned || amountsToNothing(target, tolerance)
      ? null
      : lineDifference(ALIGNED, target.line),
)
