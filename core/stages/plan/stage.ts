import { defineStage, type Mark } from '../../logbook/stage'
import type { FootedMachine } from '../../register/footedMachine'
import { isBelieved, isInBand, type Measurement } from '../measure/measurement'
import { footObjection } from '../move/stage'
import type { PlanRecord } from './plans'

interface Sees {
  readonly machine: FootedMachine
  readonly measurements: readonly Measurement[]
  readonly plan: PlanRecord | null
}

const latest = (job: Sees): Measurement => job.measurements[job.measurements.length - 1] as Measurement

const markOf = (job: Sees): Mark => {
  if (job.plan) {
    if (job.plan.stale) return 'stale'
    const verdict = job.plan.judgement?.verdict
    return verdict && verdict !== 'unknown' ? verdict : 'done'
  }
  const moved = job.measurements.length > 1
  return moved && (isInBand(latest(job)) || latest(job).sets.length === 0) ? 'done' : 'todo'
}

/** The move worth making, with real shims; desk work, which needs no lockout. */
export const planStage = defineStage({
  id: 'plan',
  writes: ['plan-chosen'],
  skip: 'each-round',
  mark: markOf,
  wants: (job: Sees) =>
    isBelieved(latest(job)) && !isInBand(latest(job)) && (job.plan === null || job.plan.stale),
  objection: ({ machine }, entry) =>
    entry.kind === 'plan-chosen' ? footObjection(machine, entry.payload) : null,
})
