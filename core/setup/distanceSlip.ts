export type DistanceSlip = 'tenfold' | 'feet-for-inches' | 'far-off'

/**
 * Whether a taped distance looks like a slip beside the registered one: about ten times, about
 * twelve times (feet for inches), or otherwise off by more than a fifth. Null when it fits.
 */
export const distanceSlip = (typed: number, registered: number): DistanceSlip | null => {
  if (registered === 0 || typed === 0) return null
  const ratio = Math.abs(typed / registered)
  const times = ratio < 1 ? 1 / ratio : ratio
  if (times <= 1.2) return null
  if (times > 9 && times < 11) return 'tenfold'
  if (times >= 11 && times < 13) return 'feet-for-inches'
  return 'far-off'
}

/** Whether a reading is tenfold off the largest of its neighbours: a slipped decimal point. */
export const readingSlip = (typed: number, neighbours: readonly number[], graduation: number): boolean => {
  const largest = Math.max(0, ...neighbours.map(Math.abs))
  return largest > 0 && Math.abs(typed) > 20 * graduation && Math.abs(typed) >= 8 * largest
}
