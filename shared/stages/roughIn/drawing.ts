import type { Plane } from '../../../core/frame/planes'
import type { RoughReading } from '../../../core/stages/roughIn/roughIn'
import type { Millimetres } from '../../../core/units/unitSystem'

/** Drawn size of one view: hubs side by side, faces in the middle. */
export const HUBS = { width: 430, height: 200, hub: 130, stationary: 150, movable: 275, length: 92 } as const

/** A hub pair as it is drawn in one view. Lengths in the drawing's own units, from its centre line, up positive. */
export interface DrawnHubs {
  /** How far the movable hub's face centre stands above the stationary axis. */
  readonly step: number
  /** Turn of the movable hub, degrees, its outboard end up positive. */
  readonly turn: number
  /** The straightedge lies on this hub: the higher one. */
  readonly edgeOn: 'stationary' | 'movable'
}

/** Most that a step or an opening may take of the drawing. */
const ROOM = 26
/** A round times-figure that stays below the exact one. */
const ROUND_TIMES = [1, 2, 4, 5, 8, 10, 16, 20, 25, 40, 50, 80, 100, 160, 200, 400, 800]

/** What was felt at the hubs, as far as it sets the scale of its drawing. */
export interface FeltHubs {
  readonly steps: Readonly<Record<Plane, { readonly value: Millimetres | null }>>
  readonly openings: Readonly<Record<Plane, { readonly value: Millimetres | null }>>
  readonly diameter: Millimetres | null
  readonly limits?: { readonly diameter: Millimetres | null }
}

/** Drawing units a millimetre of step or opening takes, alike in both views, and how many times that is to scale. */
export const scaleOfHubs = (
  reading: FeltHubs | null,
): { readonly perMillimetre: number; readonly times: number | null } => {
  const sizes = reading
    ? [reading.steps.v, reading.steps.h, reading.openings.v, reading.openings.h].map((q) =>
        Math.abs(q.value ?? 0),
      )
    : []
  const largest = Math.max(0, ...sizes)
  const diameter = reading?.diameter ?? reading?.limits?.diameter ?? null
  if (diameter === null) return { perMillimetre: largest > 0 ? ROOM / largest : 0, times: null }
  const toScale = HUBS.hub / diameter
  if (largest === 0) return { perMillimetre: toScale, times: 1 }
  const exact = ROOM / largest / toScale
  const times = ROUND_TIMES.filter((t) => t <= exact).pop() ?? exact
  return { perMillimetre: times * toScale, times }
}

/** One view of the hubs, true to the figures at this scale. */
export const drawHubs = (
  step: Millimetres | null,
  opening: Millimetres | null,
  perMillimetre: number,
): DrawnHubs => ({
  step: (step ?? 0) * perMillimetre,
  turn: (Math.atan2((opening ?? 0) * perMillimetre, HUBS.hub) * 180) / Math.PI,
  edgeOn: (step ?? 0) > 0 ? 'movable' : 'stationary',
})

/** Ends of a scale that holds the window and the figure with room at both sides, and where they lie on it (0 to 1). */
export const axialScale = (
  mean: Millimetres,
  window: { readonly least: Millimetres | null; readonly most: Millimetres | null },
): { readonly at: number; readonly from: number; readonly to: number } => {
  const least = window.least ?? Math.min(mean, window.most ?? mean)
  const most = window.most ?? Math.max(mean, least)
  const [low, high] = [Math.min(least, mean), Math.max(most, mean)]
  const margin = Math.max((high - low) * 0.35, Math.abs(high) * 0.02, 0.05)
  const place = (x: number) => (x - (low - margin)) / (high - low + 2 * margin)
  return {
    at: place(mean),
    from: window.least === null ? 0 : place(least),
    to: window.most === null ? 1 : place(most),
  }
}

/** Whether the horizontal is a first look only: the vertical isn't close enough yet and shims will shift it. */
export const horizontalWaits = (reading: RoughReading | null): boolean =>
  reading === null || ['uncouple', 'feel-again', 'vertical'].includes(reading.next)

export const placesOf = (plane: Plane): readonly [0, 180] | readonly [90, 270] =>
  plane === 'v' ? [0, 180] : [90, 270]
