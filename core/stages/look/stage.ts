import { conflict, defineStage, invalid, type Objection, type Skips } from '../../logbook/stage'
import type { LogEntry } from '../../logbook/entry'
import type { FootedMachine } from '../../register/footedMachine'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import type { Measurement } from '../measure/measurement'
import type { RoughIn } from '../roughIn/roughIn'
import type { FeetCheck } from '../feet/feetCheck'
import { placesOf, type Looks } from './looks'

interface Sees {
  readonly machine: FootedMachine
  readonly skips: Skips
  readonly safety: Safety
  readonly looks: Looks
  readonly feetCheck: FeetCheck
  /** Only where hubs are felt before an instrument goes on. */
  readonly roughIn?: Pick<RoughIn, 'latest'>
  readonly measurements: readonly Measurement[]
  /** Leaves were laid or taken since the job was opened. */
  readonly shimmed: boolean
}

const shimsObjection = (
  { machine, shimmed }: Sees,
  { feet }: LogEntry<'shims-found'>['payload'],
): Objection | null => {
  const seen = new Set<string>()
  for (const [i, f] of feet.entries()) {
    const key = `${f.machine} ${f.pair} ${f.side}`
    const known = machine.feet[f.machine].some((own) => own.id === f.pair)
    if (!known || seen.has(key)) return invalid('no-such-feet', 'payload', 'feet', i, 'pair')
    seen.add(key)
  }
  return shimmed ? conflict('shimmed-already') : null
}

/** The opened machine, place by place, before anything comes out; what lies under its feet; how its base lies. */
export const lookStage = defineStage({
  id: 'look',
  writes: ['place-looked', 'pins-handled', 'pipe-read', 'shims-found', 'base-read', 'sheet-shims-cut'],
  skip: 'once',
  mark: ({ looks }: Sees) => {
    if (looks.pipe?.verdict === 'out') return 'out'
    if (looks.base?.verdict === 'out') return 'out'
    return looks.unseen.length === 0 ? 'done' : 'todo'
  },
  // Whoever went on to feet or shafts has looked; nobody is sent back for it.
  wants: ({ skips, looks, feetCheck, roughIn, measurements }) =>
    skips.once.size === 0 &&
    looks.unseen.length > 0 &&
    feetCheck.latest === null &&
    feetCheck.rounds.every((r) => r.gaps === null) &&
    !roughIn?.latest &&
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
      case 'shims-found':
        return shimsObjection(job, entry.payload) ?? lockoutObjection(safety)
      case 'sheet-shims-cut': {
        const { machine: role, pair } = entry.payload
        return machine.feet[role].some((own) => own.id === pair)
          ? null
          : invalid('no-such-feet', 'payload', 'pair')
      }
      case 'pins-handled':
      case 'pipe-read':
      case 'base-read':
        return lockoutObjection(safety)
      default:
        return null
    }
  },
})
