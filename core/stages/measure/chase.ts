import { planeShare } from '../../judge/judge'
import type { Misalignment } from '../../frame/planes'
import { remember } from '../../logbook/remember'
import type { SettledTolerance } from '../../judge/tolerance'
import type { FeetCheck } from '../feet/feetCheck'
import type { Runouts } from '../level/runouts'
import type { Looks } from '../look/looks'
import type { RoughIn } from '../roughIn/roughIn'
import type { SetUp } from '../setUp/setUp'
import type { Measurement } from './measurement'

/** A round improves by at least this share of what it was, or it doesn't count as better. */
const BETTER = 0.9

/** Worst share of a limit in either plane after each round; null where nothing usable was measured. */
export const roundShares = (
  measurements: readonly Measurement[],
  tolerance: SettledTolerance,
  target: Misalignment,
): readonly (number | null)[] =>
  measurements.map(({ coupling }) =>
    coupling
      ? Math.max(planeShare(coupling, tolerance, target, 'v'), planeShare(coupling, tolerance, target, 'h'))
      : null,
  )

/** How many of the last moves in a row did not make it better; 0 as soon as one did, or it stands inside. */
export const roundsInVain = (shares: readonly (number | null)[]): number => {
  const known = shares.filter((s) => s !== null)
  const last = known[known.length - 1]
  if (last === undefined || last <= 1) return 0
  let vain = 0
  for (let i = known.length - 1; i > 0; i--) {
    if ((known[i] as number) < BETTER * (known[i - 1] as number)) break
    vain++
  }
  return vain
}

/** What upstream of the move may be why it does not come in. */
export const UPSTREAM = [
  'feet-unread',
  'feet-out',
  'pipe-unread',
  'pipe-pulls',
  'missed-zero',
  'not-repeated',
  'runout-unread',
  'runout-out',
  'rough-in-out',
  'moves-differ',
] as const
export type Upstream = (typeof UPSTREAM)[number]

interface Sees {
  readonly feetCheck: FeetCheck
  readonly looks: Looks
  /** Only where hubs are turned, and felt, before an instrument goes on. */
  readonly runouts?: Runouts
  readonly roughIn?: RoughIn
  readonly setUp: SetUp | null
  readonly latest: Measurement
  readonly moves: readonly { readonly achieved: readonly { readonly cause: string }[] | null }[]
}

/** Every place upstream that was passed over or found wrong, in the order of the work. */
export const upstreamOf = (job: Sees): readonly Upstream[] => {
  const { feetCheck, looks, runouts, roughIn, setUp, latest, moves } = job
  const feet = feetCheck.latest?.result.diagnosis
  const when = (holds: boolean, what: Upstream): readonly Upstream[] => (holds ? [what] : [])
  const turnsOne = setUp !== null && Object.values(setUp.how.given).some((part) => turnsAlone(part))
  return [
    ...when(feet === undefined || feetCheck.stale, 'feet-unread'),
    ...when(feet !== undefined && feet !== 'ok', 'feet-out'),
    ...when(looks.pipe === null && looks.places.some((p) => p.place === 'pipe'), 'pipe-unread'),
    ...when(looks.pipe?.verdict === 'out', 'pipe-pulls'),
    ...when(setUp !== null && !setUp.holdsZero, 'missed-zero'),
    ...when(latest.trust !== 'agreed', 'not-repeated'),
    ...when(turnsOne && runouts?.verdict === null, 'runout-unread'),
    ...when(runouts?.verdict === 'out', 'runout-out'),
    ...when(roughIn?.latest?.verdict === 'out', 'rough-in-out'),
    ...when(
      moves.some((m) => m.achieved?.some((a) => a.cause !== 'as-planned')),
      'moves-differ',
    ),
  ]
}

/** With one shaft turning, the run-out of the hub that stands still is in every reading. */
const turnsAlone = (part: unknown): boolean =>
  typeof part === 'object' &&
  part !== null &&
  'turning' in part &&
  (part.turning === 'movable' || part.turning === 'stationary')

/** A job that does not come in: from the second move in vain on, with where to look. */
export interface Chase {
  readonly vain: number
  readonly upstream: readonly Upstream[]
}
const SECOND = 2

export const chaseIn = remember(
  (
    job: Sees & {
      readonly measurements: readonly Measurement[]
      readonly tolerance: SettledTolerance
      readonly target: Misalignment
    },
  ): Chase | null => {
    const vain = roundsInVain(roundShares(job.measurements, job.tolerance, job.target))
    return vain >= SECOND ? { vain, upstream: upstreamOf(job) } : null
  },
)
