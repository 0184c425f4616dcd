import { placeKey, type Place } from '~~/core/instruments/places'
import { circlesOf, type UsualPlaces } from '~~/core/methods/methods'
import { usualSetUp } from '~~/core/methods/usualSetUp'
import { METHOD_FORMS } from '~~/shared/methods/forms'
import { besideOf } from '~~/core/jobs/measured'

/** Where in the job in view an instrument can stand, in the order of the work. */
export const useInstrumentPlaces = () => {
  const job = useJob()
  return computed((): readonly Place[] => {
    const setUp = job.measured?.setUp
    const round: readonly Place[] =
      setUp && METHOD_FORMS[setUp.how.method].reads === 'dials'
        ? setUp.circles.map((circle) => ({ at: 'circle', circle }))
        : setUp || !job.measured
          ? []
          : beforeSetUp(job.measured.machine.usual)
    const feet = job.footed?.feet
    const ends = (machine: 'movable' | 'stationary'): readonly Place[] => {
      const pairs = feet?.[machine] ?? []
      return pairs.map(({ id }) => ({ at: 'side', machine, pair: id, from: '3' }))
    }
    const driven = job.footed?.push.ends.some((e) => e.machine === 'stationary') ?? false
    const warmth: readonly Place[] = job.coupled
      ? (['movable', 'stationary'] as const).flatMap((machine) =>
          job.coupled!.machine.feet[machine].map(({ id }): Place => ({ at: 'warmth', machine, pair: id })),
        )
      : []
    return [
      ...(job.coupled && besideOf(job.coupled) === null ? ([{ at: 'level' }] as const) : []),
      ...(job.footed ? ([{ at: 'foot' }] as const) : []),
      ...round,
      ...(job.footed ? [...ends('movable'), ...(driven ? ends('stationary') : [])] : []),
      ...warmth,
      ...(job.belt ? ([{ at: 'belt' }] as const) : []),
    ]
  })
}

/** Circles of what a machine is usually measured by, and of heads, while no set-up says. */
const beforeSetUp = (usual: UsualPlaces): readonly Place[] => {
  const own = usualSetUp(usual, { sag: 0, turning: 'both' })
  const heads = ['stationary', 'movable']
  const circles = own && own.method !== 'heads' ? [...circlesOf(own), ...heads] : heads
  return circles.map((circle) => ({ at: 'circle', circle }))
}

/** Two keys name the same place whichever side a dial stands at. */
export const samePlace = (a: Place, b: Place): boolean =>
  placeKey({ ...a, ...(a.at === 'side' ? { from: '3' } : {}) } as Place) ===
  placeKey({ ...b, ...(b.at === 'side' ? { from: '3' } : {}) } as Place)
