import { SOFT_FOOT_LIMIT } from '../../feet/softFoot'
import { boltPacks, type BoltPacks } from '../../flange/boltPacks'
import { rockOf } from '../../flange/flangePlane'
import { allPaired, type FlangeSchool } from '../../flange/flangeShims'
import { lineDifference, lineSum, type Misalignment } from '../../frame/planes'
import { judge, verdictOfMargin, type Judgement, type Verdict } from '../../judge/judge'
import type { SettledTolerance } from '../../judge/tolerance'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import {
  packedBolts,
  type BoltLeaves,
  type FlangeMachine,
  type FlangeShape,
} from '../../register/flangeMachine'
import { shelfOf } from '../../register/shelf'
import type { Millimetres } from '../../units/unitSystem'
import type { BoltWork } from '../flangeMove/boltWork'
import type { Measurement } from '../measure/measurement'

export const FLANGE_SCHOOLS = ['coplanar', 'pairwise'] as const satisfies readonly FlangeSchool[]

/** How far the tops of shims may rock a flange: as a foot may. */
export const rockLimit = ({ units }: Pick<FlangeMachine, 'units'>): Millimetres => SOFT_FOOT_LIMIT[units]

/** Rock against its limit. */
const rockVerdict = (rock: Millimetres, limit: Millimetres): Verdict =>
  verdictOfMargin((limit * (1 + 1e-9) - rock) / limit)

/** One school’s shims from the shelf, and what they come to. */
export interface SchoolPlan {
  readonly school: FlangeSchool
  /** Null where bolts don't stand in pairs, or the shelf holds no such leaves. */
  readonly packs: BoltPacks | null
  readonly lacks: 'pairs' | 'leaves' | null
  readonly rock: {
    readonly value: Millimetres
    readonly limit: Millimetres
    readonly verdict: Verdict
  } | null
  readonly predicted: Misalignment | null
  readonly judgement: Judgement | null
}

/** A slope limit for the search: the loosest side that the tolerance has. */
const slopeLimitOf = (tolerance: SettledTolerance): number => {
  if (tolerance.form !== 'window') return tolerance.slope
  const sides = [...tolerance.slope.v, ...tolerance.slope.h].flatMap((x) => (x === null ? [] : [Math.abs(x)]))
  return Math.max(1e-6, Math.min(...sides, 0.001))
}

/** Both schools side by side, on what lies under the bolts; empty while the tilt is not known. */
export const schoolPlans = remember(
  (
    machine: FlangeMachine,
    latest: Measurement,
    shape: FlangeShape,
    leaves: BoltLeaves,
    tolerance: SettledTolerance,
    target: Misalignment,
  ): readonly SchoolPlan[] => {
    const { coupling } = latest
    if (!coupling) return []
    const { slope } = lineDifference(coupling, target)
    if (slope.v === null || slope.h === null) return []
    const tilt = { v: slope.v, h: slope.h }
    const limit = rockLimit(machine)
    return FLANGE_SCHOOLS.map((school): SchoolPlan => {
      const nothing = { school, packs: null, rock: null, predicted: null, judgement: null }
      if (school === 'pairwise' && !allPaired(shape.bolts)) return { ...nothing, lacks: 'pairs' }
      const packs = boltPacks({
        slope: tilt,
        bolts: packedBolts(shape.bolts, leaves),
        school,
        stock: shelfOf(machine),
        packLimit: machine.packLimit,
        slopeLimit: slopeLimitOf(tolerance),
        rockLimit: limit,
      })
      if (!packs) return { ...nothing, lacks: 'leaves' }
      const { v, h } = packs.plane.slope
      const predicted = lineSum(coupling, {
        offset: { v: v * shape.plane, h: h * shape.plane },
        slope: { v: -v, h: -h },
      })
      const rock = rockOf(packs.plane)
      return {
        school,
        packs,
        lacks: null,
        rock: { value: rock, limit, verdict: rockVerdict(rock, limit) },
        predicted,
        judgement: judge(predicted, tolerance, target),
      }
    })
  },
)

/** The plan that waits to be carried out. */
export interface FlangePlanRecord {
  readonly entry: LogEntry<'flange-plan-chosen'>
  readonly work: BoltWork
  readonly predicted: Misalignment | null
  readonly judgement: Judgement | null
  readonly rock: Millimetres | null
  /** The sets in use are not those it was made from: choose again. */
  readonly stale: boolean
}

/** A plan beside the measurement it is to be carried out on. */
export const recordFlangePlan = (
  entry: LogEntry<'flange-plan-chosen'>,
  work: BoltWork,
  from: Measurement,
  tolerance: SettledTolerance,
  target: Misalignment,
): FlangePlanRecord => {
  const predicted = from.coupling ? lineSum(from.coupling, work.change) : null
  const { sets } = entry.payload
  return {
    entry,
    work,
    predicted,
    judgement: predicted && judge(predicted, tolerance, target),
    rock: work.plane && rockOf(work.plane),
    stale: sets.length !== from.used.length || sets.some((id) => !from.used.includes(id)),
  }
}
