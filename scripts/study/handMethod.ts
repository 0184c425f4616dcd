import { faceFactor, rimFactor } from '../../core/coupling/dialSet'
import type { Misalignment } from '../../core/frame/planes'
import type { SimulatedJob } from '../../core/simulate/jobPopulation'
import type { TakenSet } from '../../core/simulate/simulatedCouple'

const MIL = 0.0254
/** To the whole mil, as on a paper sheet. */
export const toMil = (x: number): number => Math.round(x / MIL) * MIL

/**
 * Offset and slope the plain way: opposite readings halved and rounded to whole mils, sag as told,
 * one set, no checks.
 */
export const handLine = (job: SimulatedJob, set: TakenSet): Misalignment => {
  const at = (list: TakenSet['rim'], clock: number) => list.find((r) => r.clock === clock)?.value ?? 0
  const k = rimFactor(job.told.carriedBy)
  const lever = (faceFactor(job.told.plunger) * job.told.faceDiameter) / 2
  const half = (list: TakenSet['rim'], a: number, b: number) => (at(list, a) - at(list, b)) / 2
  const rim = {
    v: toMil((half(set.rim, 0, 180) - job.told.rimSag) / k),
    h: toMil(half(set.rim, 90, 270) / k),
  }
  const slope = {
    v: toMil(half(set.face, 0, 180) - job.told.faceSag) / lever,
    h: toMil(half(set.face, 90, 270)) / lever,
  }
  return {
    offset: { v: rim.v - slope.v * job.told.rimPlane, h: rim.h - slope.h * job.told.rimPlane },
    slope,
  }
}
