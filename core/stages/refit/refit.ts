import type { LogEntry } from '../../logbook/entry'

/** The last time the gearset went back together in this job. */
export type Refit = LogEntry<'gear-refitted'> | null

export const keepRefit = (now: Refit, e: LogEntry): Refit => (e.kind === 'gear-refitted' ? e : now)

/** Where the locating pins stand, as far as this job wrote. */
export type PinsStand = 'unsaid' | 'none' | 'out' | 'in' | 'reamed'

export const keepPinsStand = (now: PinsStand, e: LogEntry): PinsStand => {
  if (e.kind === 'gear-refitted')
    return ({ 'left-out': 'out', fitted: 'in', none: 'none' } as const)[e.payload.pins]
  if (e.kind !== 'pins-handled') return now
  return ({ none: 'none', pulled: 'out', refitted: 'in', reamed: 'reamed' } as const)[e.payload.did]
}
