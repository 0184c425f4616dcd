import type { Turning } from '../../coupling/dialSet'
import { clockDistance, normalClock } from '../../frame/clock'
import type { Reading } from '../../fit/harmonicFit'
import type { MachineRole } from '../../plan/pairNames'
import { toCore, type Degrees, type Millimetres } from '../../units/unitSystem'
import type { RunoutSurface } from '../level/entries'
import type { SurfaceRunout } from '../level/runouts'

/** The machine whose hub stands still under the dials; null while both shafts turn. */
export const stillMachine = (turning: Turning): MachineRole | null =>
  turning === 'both' ? null : turning === 'movable' ? 'stationary' : 'movable'

/** A face turned on a circle this much larger or smaller is another circle: its wobble would be too. */
const SAME_CIRCLE = 0.1

/**
 * The run-out of a still hub's surface as it lies under the dials: its marks run clockwise as the observer sees the
 * hub, and `markUp` is the one that stands at 12. Millimetres, plunger in positive; null where this surface was not turned, or a
 * face on another circle than `diameter`.
 */
export const stillSurface = (
  turned: readonly SurfaceRunout[],
  machine: MachineRole,
  surface: RunoutSurface,
  markUp: Degrees,
  diameter: Millimetres | null = null,
): readonly Reading[] | null => {
  const found = turned.find((t) => t.machine === machine && t.surface === surface)
  if (!found) return null
  const { units, readings, diameter: on } = found.entry.payload
  if (surface === 'face' && on !== null && diameter !== null) {
    const circle = toCore(on, 'distance', units)
    if (Math.abs(circle - diameter) > SAME_CIRCLE * diameter) return null
  }
  return readings.map((r) => ({
    ...r,
    clock: normalClock(r.clock - markUp),
    value: toCore(r.value, 'displacement', units),
  }))
}

/** The marks of a still hub that were read on every one of its turned surfaces. */
export const marksOf = (turned: readonly SurfaceRunout[], machine: MachineRole): readonly Degrees[] => {
  const surfaces = turned.filter((t) => t.machine === machine && t.surface !== 'shaft')
  const [first, ...others] = surfaces.map((t) => t.entry.payload.readings.map((r) => normalClock(r.clock)))
  return (first ?? []).filter((m) => others.every((o) => o.some((c) => clockDistance(c, m) < 1)))
}
