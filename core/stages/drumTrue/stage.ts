import { conflict, defineStage, invalid, type Mark } from '../../logbook/stage'
import { distinctClocks } from '../../frame/clock'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { isInBand, type Measurement } from '../measure/measurement'
import type { DrumTrue } from './drumTrue'

interface Sees {
  readonly safety: Safety
  readonly measurements: readonly Measurement[]
  readonly drum: DrumTrue
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

/** The drum by itself, once the bolts are in: turned under a dial, and struck lightly where it stands high. */
export const drumTrueStage = defineStage({
  id: 'drum-runout',
  writes: ['runout-read', 'drum-tapped'],
  skip: 'each-round',
  mark: ({ drum }: Sees): Mark => drum.verdict ?? (drum.surfaces.some((s) => s.open) ? 'stale' : 'todo'),
  wants: (job) => isInBand(latest(job)) && (job.drum.verdict === null || job.drum.verdict === 'out'),
  objection: ({ safety, drum }, entry) => {
    if (entry.kind === 'runout-read') {
      const { machine, surface, readings } = entry.payload
      if (machine !== 'stationary') return invalid('no-such-place', 'payload', 'machine')
      if (surface === 'shaft') return invalid('no-such-place', 'payload', 'surface')
      if (distinctClocks(readings.map((r) => r.clock)).length < 3)
        return invalid('runout-positions', 'payload', 'readings')
      return lockoutObjection(safety)
    }
    if (entry.kind !== 'drum-tapped') return null
    const turned = drum.surfaces.find((s) => s.surface === entry.payload.surface)
    return turned?.latest ? lockoutObjection(safety) : conflict('drum-unread')
  },
})
