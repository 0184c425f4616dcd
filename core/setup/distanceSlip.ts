export type DistanceSlip = 'tenfold' | 'feet-for-inches' | 'unit' | 'far-off'

/**
 * Whether a taped distance looks like a slip beside a known one: about ten times, about twelve times
 * (feet for inches), about 25 times (inches for millimetres), or otherwise off by more than a fifth.
 * Null when it fits. Both in one unit.
 */
export const distanceSlip = (typed: number, known: number): DistanceSlip | null => {
  if (known === 0 || typed === 0) return null
  const ratio = Math.abs(typed / known)
  const times = ratio < 1 ? 1 / ratio : ratio
  if (times <= 1.2) return null
  if (times > 9 && times < 11) return 'tenfold'
  if (times >= 11 && times < 13) return 'feet-for-inches'
  if (times > 24 && times < 27) return 'unit'
  return 'far-off'
}

/** Whether a sag differs from a known one by more than handling explains: half as much again, or a mil. */
export const sagDiffers = (hang: number, known: number): boolean =>
  Math.abs(hang - known) > Math.max(0.0254, 0.5 * Math.max(hang, known))

/** Whether a reading is tenfold off the largest of its neighbours: a slipped decimal point. */
export const readingSlip = (typed: number, neighbours: readonly number[], graduation: number): boolean => {
  const largest = Math.max(0, ...neighbours.map(Math.abs))
  return largest > 0 && Math.abs(typed) > 20 * graduation && Math.abs(typed) >= 8 * largest
}

/** Whether a nameplate speed is tenfold off the registered one, or far from it. */
export const speedSlip = (typed: number, registered: number): 'tenfold' | 'far-off' | null => {
  const ratio = typed / registered
  const times = ratio < 1 ? 1 / ratio : ratio
  return times > 9 && times < 11 ? 'tenfold' : times > 1.5 ? 'far-off' : null
}
