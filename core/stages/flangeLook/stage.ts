import type { LogEntry } from '../../logbook/entry'
import { conflict, defineStage, invalid, type Objection, type Skips } from '../../logbook/stage'
import type { FlangeMachine } from '../../register/machine'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { placesOf, type Looks } from '../look/looks'
import type { Measurement } from '../measure/measurement'

interface Sees {
  readonly machine: FlangeMachine
  readonly skips: Skips
  readonly safety: Safety
  readonly looks: Looks
  readonly measurements: readonly Measurement[]
  /** Leaves were laid or taken since the job was opened. */
  readonly shimmed: boolean
}

/** Whether every bolt that is named is one of this flange's, and named once. */
export const boltObjection = (
  { flange }: FlangeMachine,
  bolts: readonly string[],
  ...path: readonly string[]
): Objection | null => {
  const seen = new Set<string>()
  for (const [i, bolt] of bolts.entries()) {
    const known = /^[1-9]\d?$/.test(bolt) && Number(bolt) <= flange.bolts
    if (!known || seen.has(bolt))
      return invalid('no-such-bolt', 'payload', ...path, ...(path.length > 0 ? [i] : []), 'bolt')
    seen.add(bolt)
  }
  return null
}

const shimsObjection = ({ machine, shimmed }: Sees, entry: LogEntry<'bolt-shims-found'>): Objection | null =>
  boltObjection(
    machine,
    entry.payload.bolts.map((b) => b.bolt),
    'bolts',
  ) ?? (shimmed ? conflict('shimmed-already') : null)

/** The opened machine, place by place; what lies under its bolts, and how it sits in its register. */
export const flangeLook = defineStage({
  id: 'look',
  writes: ['place-looked', 'pins-handled', 'bolt-shims-found', 'spigot-felt', 'bolt-shims-cut'],
  skip: 'once',
  mark: ({ looks }: Sees) => (looks.unseen.length === 0 ? 'done' : 'todo'),
  // Whoever went on to the readings has looked; nobody is sent back for it.
  wants: ({ skips, looks, measurements }) =>
    skips.once.size === 0 &&
    looks.unseen.length > 0 &&
    measurements.length === 1 &&
    measurements[0]?.sets.length === 0,
  objection: (job, entry) => {
    const { machine, safety } = job
    switch (entry.kind) {
      case 'place-looked': {
        const known = placesOf(machine)
        const strange = entry.payload.places.findIndex((p) => !known.includes(p))
        if (strange >= 0) return invalid('no-such-place', 'payload', 'places', strange)
        return lockoutObjection(safety)
      }
      case 'bolt-shims-found':
        return shimsObjection(job, entry) ?? lockoutObjection(safety)
      case 'bolt-shims-cut':
        return boltObjection(machine, [entry.payload.bolt])
      case 'pins-handled':
      case 'spigot-felt':
        return lockoutObjection(safety)
      default:
        return null
    }
  },
})
