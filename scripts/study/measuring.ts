import type { DialArrangement } from '../../core/coupling/dialCircle'
import { ALIGNED, type Misalignment } from '../../core/frame/planes'
import { arrangeTaken, rimFaceDials } from '../../core/methods/dials'
import { measureArranged } from '../../core/methods/method'
import { settleTolerance, offsetLimitOf, type SettledTolerance } from '../../core/judge/tolerance'
import type { SimulatedJob } from '../../core/simulate/jobPopulation'
import type { TakenSet } from '../../core/simulate/simulatedCouple'
import { compareMeasurements } from '../../core/trust/compareMeasurements'
import { beyondReturnLimit } from '../../core/trust/returnToZero'
import type { TrustFlag } from '../../core/trust/trustReport'

export const QUARTERS = [0, 90, 180, 270] as const
export const TARGET = ALIGNED

/** The limits of every simulated job: the starter rule at its speed, standard grade. */
export const limitsOf = (job: SimulatedJob): SettledTolerance =>
  settleTolerance({ form: 'speed-rule', mode: 'plane', grade: 'standard' }, job.rpm)

/** A set with what is written on the sheet beside it. */
export const dialsOf = (
  job: SimulatedJob,
  set: Pick<TakenSet, 'rim' | 'face'>,
): Parameters<typeof rimFaceDials>[0] => ({
  rim: {
    carriedBy: job.told.carriedBy,
    plane: job.told.rimPlane,
    sag: job.told.rimSag,
    readings: set.rim,
  },
  faces: [
    {
      plunger: job.told.plunger,
      diameter: job.told.faceDiameter,
      sag: job.told.faceSag,
      readings: set.face,
    },
  ],
})

/** One set as the program sees it. */
export interface ReadSet {
  readonly coupling: Misalignment
  readonly arrangement: DialArrangement
  readonly flags: readonly TrustFlag[]
}

const SERIOUS: readonly TrustFlag[] = ['closure', 'residual', 'return-to-zero']

/** Whether the program would use a set without asking why. */
export const isSound = (set: ReadSet): boolean => !set.flags.some((f) => SERIOUS.includes(f))

/** Fits a taken set and runs every check that one set allows. Null when it can't be fitted. */
export const readSet = (job: SimulatedJob, set: TakenSet): ReadSet | null => {
  const arranged = arrangeTaken(rimFaceDials(dialsOf(job, set)))
  if (!arranged.ok) return null
  const { arrangement } = arranged.value
  const limits = {
    units: 'metric',
    graduation: job.graduation,
    offsetLimit: offsetLimitOf(limitsOf(job)),
  } as const
  const measured = measureArranged(arranged.value, limits)
  if (!measured.ok) return null
  const slipped = [set.returned.rim, set.returned.face].some((x) =>
    beyondReturnLimit(x, 'metric', Math.max(job.graduation, 0.0127)),
  )
  const flags = slipped
    ? [...measured.value.trust.flags, 'return-to-zero' as const]
    : measured.value.trust.flags
  return { coupling: measured.value.coupling, arrangement, flags }
}

/** Whether two sets repeat, and both together. */
export const repeatOf = (job: SimulatedJob, first: ReadSet, second: ReadSet) =>
  compareMeasurements(first, second, {
    tolerance: limitsOf(job),
    units: 'metric',
    graduation: job.graduation,
    feet: [],
  })
