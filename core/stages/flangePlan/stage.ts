import { rockOf } from '../../flange/flangePlane'
import { allPaired } from '../../flange/flangeShims'
import { conflict, defineStage, invalid, type Mark } from '../../logbook/stage'
import type { BoltLeaves, FlangeShape } from '../../register/flangeMachine'
import type { FlangeMachine } from '../../register/machine'
import type { Spigot } from '../flangeLook/flangeFound'
import { boltObjection } from '../flangeLook/stage'
import { doBoltWork } from '../flangeMove/boltWork'
import { isBelieved, isInBand, type Measurement } from '../measure/measurement'
import type { FlangeNeed } from './need'
import { rockLimit, type FlangePlanRecord } from './plans'

interface Sees {
  readonly machine: FlangeMachine
  readonly measurements: readonly Measurement[]
  readonly need: FlangeNeed
  readonly spigot: Spigot
  readonly shape: FlangeShape
  readonly leaves: BoltLeaves
  readonly plan: FlangePlanRecord | null
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

const markOf = (job: Sees): Mark => {
  if (job.plan) {
    if (job.plan.stale) return 'stale'
    const verdict = job.plan.judgement?.verdict
    return verdict && verdict !== 'unknown' ? verdict : 'done'
  }
  if (isBelieved(latest(job)) && ['frame', 'beyond'].includes(job.need.asks)) return 'out'
  const moved = job.measurements.length > 1
  return moved && (isInBand(latest(job)) || latest(job).sets.length === 0) ? 'done' : 'todo'
}

/** Whether shims or a push would help as it was measured. */
export const helps = ({ asks }: FlangeNeed): boolean => asks === 'shim' || asks === 'push'

/** Shims for the tilt, or the push that a loose spigot allows; desk work, which needs no lockout. */
export const flangePlan = defineStage({
  id: 'plan',
  writes: ['flange-plan-chosen'],
  skip: 'each-round',
  mark: markOf,
  wants: (job: Sees) => isBelieved(latest(job)) && helps(job.need) && (job.plan === null || job.plan.stale),
  objection: ({ machine, spigot, shape, leaves }, entry) => {
    if (entry.kind !== 'flange-plan-chosen') return null
    const { changes, does, push, units, why } = entry.payload
    const wrong = boltObjection(
      machine,
      changes.map((c) => c.bolt),
      'changes',
    )
    if (wrong) return wrong
    if (does === 'push' && push && spigot.fit === 'tight') return conflict('spigot-tight')
    if (does === 'pairwise' && !allPaired(shape.bolts)) return invalid('not-paired', 'payload', 'does')
    const { plane } = doBoltWork(leaves, shape, units, changes, push)
    const rocks = plane !== null && rockOf(plane) > rockLimit(machine) * (1 + 1e-9)
    return rocks && why.trim() === '' ? invalid('rocks-needs-why', 'payload', 'why') : null
  },
})
