import type { Reading } from '../../fit/harmonicFit'
import { distinctClocks } from '../../frame/clock'
import type { MethodGiven } from '../../methods/methods'
import type { LogEntry } from '../../logbook/entry'
import { defineStage, invalid, type Objection } from '../../logbook/stage'
import type { FootedMachine } from '../../register/footedMachine'
import type { FlangeMachine } from '../../register/machine'
import { lockoutObjection } from '../makeSafe/stage'
import type { RoughIn } from '../roughIn/roughIn'
import type { Safety } from '../makeSafe/safety'
import { settleSetUp, type SetUp } from './setUp'

interface Sees {
  readonly machine: FootedMachine | FlangeMachine
  readonly safety: Safety
  readonly setUp: SetUp | null
  /** Only where hubs are felt before an instrument goes on. */
  readonly roughIn?: Pick<RoughIn, 'proves'>
}

/** What was taped must be this machine's own: its feet, or its flange. */
const tapeObjection = (
  machine: Sees['machine'],
  { feet, flange }: LogEntry<'set-up'>['payload'],
): Objection | null => {
  if (machine.drive === 'flange') {
    if (feet.length > 0) return invalid('no-such-feet', 'payload', 'feet', 0, 'pair')
    return flange ? null : invalid('flange-missing', 'payload', 'flange')
  }
  if (flange) return invalid('no-such-flange', 'payload', 'flange')
  for (const [i, f] of feet.entries())
    if (!machine.feet[f.machine].some((own) => own.id === f.pair))
      return invalid('no-such-feet', 'payload', 'feet', i, 'pair')
  // A motor may be trammed without a tape: then no foot is named at all.
  if (machine.drive === 'drum' && feet.length === 0) return null
  return machine.feet.movable.some((own) => !feet.some((f) => f.machine === 'movable' && f.pair === own.id))
    ? invalid('feet-missing', 'payload', 'feet')
    : null
}

const settled = (setUp: SetUp | null): boolean =>
  setUp !== null && (setUp.holdsZero || setUp.entry.payload.why !== '')

/** Rods from the motor's own half, rim and face, the drum standing still. */
const isTram = (how: MethodGiven): boolean =>
  how.method === 'rim-face' &&
  how.given.rim.carriedBy === 'movable' &&
  how.given.rim.turning === 'movable' &&
  how.given.rim.plane === 0

/** What is taken out of the readings for hubs that stand still. */
const runoutsOf = (given: MethodGiven['given']): readonly (readonly Reading[])[] => {
  const mounts: readonly { readonly runout?: readonly Reading[] }[] =
    'rim' in given
      ? [given.rim, ...given.faces]
      : 'onStationary' in given
        ? [given.onStationary, given.onMovable]
        : []
  return mounts.flatMap((m) => (m.runout ? [m.runout] : []))
}

/** The instrument set up, its distances taped, its zero proved by a full turn. */
export const setUpStage = defineStage({
  id: 'set-up',
  writes: ['set-up'],
  skip: 'never',
  mark: ({ setUp }: Sees) => (!setUp ? 'todo' : setUp.holdsZero ? 'done' : 'out'),
  wants: ({ setUp, roughIn }) => !settled(setUp) && !roughIn?.proves,
  objection: ({ machine, safety }, entry) => {
    if (entry.kind !== 'set-up') return null
    const wrong = tapeObjection(machine, entry.payload)
    if (wrong) return wrong
    if (machine.drive === 'drum' && !isTram(entry.payload.how)) return invalid('not-a-tram', 'payload', 'how')
    const { why } = entry.payload
    const { given } = entry.payload.how
    if (runoutsOf(given).some((r) => distinctClocks(r.map((x) => x.clock)).length < 3))
      return invalid('runout-positions', 'payload', 'how')
    if (!settleSetUp(entry).holdsZero && why.trim() === '') return invalid('missed-zero', 'payload', 'why')
    return lockoutObjection(safety)
  },
})
