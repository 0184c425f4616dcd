import type { Turning } from '../../coupling/dialSet'
import type { LogEntry } from '../../logbook/entry'
import type { MethodGiven } from '../../methods/methods'
import type { Outcome } from '../../outcome'
import type { MachineRole } from '../../plan/pairNames'
import { runout, starterRunoutLimit, type RunoutResult } from '../../runout/runout'
import { toCore } from '../../units/unitSystem'
import type { RunoutSurface } from './entries'

/** The last turn of each surface, in the order they were first read. */
export type RunoutFacts = readonly LogEntry<'runout-read'>[]
export const NO_RUNOUTS: RunoutFacts = []

const sameSpot = (a: LogEntry<'runout-read'>, b: LogEntry<'runout-read'>) =>
  a.payload.machine === b.payload.machine && a.payload.surface === b.payload.surface

export const keepRunouts = (now: RunoutFacts, e: LogEntry): RunoutFacts => {
  if (e.kind !== 'runout-read') return now
  return now.some((x) => sameSpot(x, e)) ? now.map((x) => (sameSpot(x, e) ? e : x)) : [...now, e]
}

/** One surface taken apart. */
export interface SurfaceRunout {
  readonly entry: LogEntry<'runout-read'>
  readonly machine: MachineRole
  readonly surface: RunoutSurface
  readonly result: RunoutResult
  /** Whose limit it is held against. */
  readonly source: 'own' | 'speed'
  /** The oval is larger than what is out of centre: clamped or worn, not bored off. */
  readonly oval: boolean
}

/** An oval counts from this share of the limit on. */
const WORTH_NAMING = 0.25

/** What one turn comes to at this speed, or why it can't be read: the stage refuses what this does. */
export const readRunout = (entry: LogEntry<'runout-read'>, rpm: number): Outcome<RunoutResult> => {
  const { units, readings, surface, diameter, limit } = entry.payload
  return runout({
    readings: readings.map((r) => ({ ...r, value: toCore(r.value, 'displacement', units) })),
    surface: surface === 'face' ? 'face' : 'rim',
    ...(diameter === null ? {} : { diameter: toCore(diameter, 'distance', units) }),
    limit: limit === null ? starterRunoutLimit(rpm) : toCore(limit, 'displacement', units),
  })
}

/** Each surface as it was last turned. */
export interface Runouts {
  readonly surfaces: readonly SurfaceRunout[]
  readonly verdict: 'in' | 'edge' | 'out' | null
}

const RANK = { in: 0, edge: 1, out: 2 } as const

const read = (entry: LogEntry<'runout-read'>, rpm: number): SurfaceRunout | null => {
  const found = readRunout(entry, rpm)
  if (!found.ok) return null
  const { first, second, limit } = found.value
  return {
    entry,
    machine: entry.payload.machine,
    surface: entry.payload.surface,
    result: found.value,
    source: entry.payload.limit === null ? 'speed' : 'own',
    oval:
      second !== null && second.amplitude > first.amplitude && 2 * second.amplitude > WORTH_NAMING * limit,
  }
}

/** What the logbook says of the run-out of hubs and shafts, judged at this speed. */
export const checkRunouts = (facts: RunoutFacts, rpm: number): Runouts => {
  const surfaces = facts.flatMap((e) => read(e, rpm) ?? [])
  const verdict = surfaces.reduce<Runouts['verdict']>(
    (w, { result }) => (w === null || RANK[result.verdict] > RANK[w] ? result.verdict : w),
    null,
  )
  return { surfaces, verdict }
}

/**
 * Whether a hub's own run-out is in this job's readings: not while both shafts turn together, for each dial stays
 * on its spot of the target; it is when only one turns, unless what was measured of it is taken out.
 */
export type RunoutEffect = 'no-set-up' | 'none' | 'enters' | 'taken-out'

const stillHubs = (
  turning: Turning | undefined,
  mounts: readonly { readonly runout?: unknown }[],
): RunoutEffect =>
  turning === 'both' ? 'none' : mounts.some((m) => m.runout !== undefined) ? 'taken-out' : 'enters'

/** What run-out does to the readings of this set-up; null before one is made. */
export const runoutEffect = (how: MethodGiven | null): RunoutEffect => {
  switch (how?.method) {
    case undefined:
      return 'no-set-up'
    case 'rim-face':
      return stillHubs(how.given.rim.turning, [how.given.rim, ...how.given.faces])
    case 'reverse-rim':
      return stillHubs(how.given.onStationary.turning, [how.given.onStationary, how.given.onMovable])
    default:
      return 'none'
  }
}
