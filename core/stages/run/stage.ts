import { conflict, defineStage } from '../../logbook/stage'
import { lockoutObjection } from '../makeSafe/stage'
import type { Safety } from '../makeSafe/safety'
import { HANDS_AT_DRIVE } from './entries'
import type { Running } from './running'

interface Sees {
  readonly safety: Safety
  readonly running: Running
  /** A sheave was set otherwise since the motor's current was read last. */
  readonly reset?: boolean
}

/** Turned by hand, guard on, run and listened to. */
export const runStage = defineStage({
  id: 'run',
  writes: ['run-confirmed'],
  skip: 'once',
  mark: ({ running, reset }: Sees) =>
    running.bad.length > 0 || running.current?.verdict === 'out'
      ? 'out'
      : running.next === null
        ? 'done'
        : reset && running.facts.length === 0
          ? 'stale'
          : 'todo',
  wants: ({ running }) => running.next !== null,
  objection: ({ safety, running }, entry) => {
    if (entry.kind !== 'run-confirmed') return null
    const { point } = entry.payload
    if (HANDS_AT_DRIVE.includes(point)) return lockoutObjection(safety)
    // Nobody switches on a drive whose guard is off.
    const guarded = running.rows.some((r) => r.point === 'guard-on' && r.entry?.payload.found === 'good')
    return guarded ? null : conflict('guard-first')
  },
})
