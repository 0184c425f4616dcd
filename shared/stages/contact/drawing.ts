import type { PaintedZone, Percent } from '../../../core/gear/contactFigures'

/** The flank as it is drawn, in the units of its picture: both ends taller than the middle, as a wheel's tooth is. */
export const FLANK = {
  width: 320,
  left: 12,
  right: 308,
  top: 38,
  dip: 20,
  bottom: 136,
  rise: 20,
  axis: 172,
} as const

const SPAN = FLANK.right - FLANK.left

/** Where a percent of the face width stands. */
export const atPercent = (p: Percent): number => FLANK.left + (SPAN * p) / 100

/** The percent under a point, whole, never off the tooth. */
export const percentAt = (x: number): Percent =>
  Math.max(0, Math.min(100, Math.round((100 * (x - FLANK.left)) / SPAN)))

const bow = (x: number) => 1 - ((2 * (x - FLANK.left)) / SPAN - 1) ** 2
const topAt = (x: number) => FLANK.top + FLANK.dip * bow(x)
const bottomAt = (x: number) => FLANK.bottom + FLANK.rise * bow(x) * 0.9

const STEPS = 16
const along = (from: number, to: number, y: (x: number) => number): string[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => {
    const x = from + ((to - from) * i) / STEPS
    return `${x.toFixed(1)} ${y(x).toFixed(1)}`
  })

const closed = (points: readonly string[]) => `M${points.join('L')}Z`

/** The flank's outline. */
export const flankOutline = (): string =>
  closed([...along(FLANK.left, FLANK.right, topAt), ...along(FLANK.right, FLANK.left, bottomAt)])

/** A zone on the flank: inset from its tip and root. */
export const zoneOutline = ([begins, ends]: PaintedZone, inset: number): string => {
  const [a, b] = [atPercent(begins), atPercent(ends)]
  return closed([...along(a, b, (x) => topAt(x) + inset), ...along(b, a, (x) => bottomAt(x) - inset)])
}

/** The middle height of the flank at a percent, where a handle stands. */
export const middleAt = (p: Percent): number => {
  const x = atPercent(p)
  return (topAt(x) + bottomAt(x)) / 2
}

/** A figure over an end of a zone. */
export interface FlankLabel {
  readonly x: number
  readonly text: string
  readonly of: 'paint' | 'wanted'
}

/** The lines on which the figures stand, over the flank: what is wanted above what is painted. */
export const LABEL_LINES = { wanted: 13, paint: 31 } as const
/** Least distance between two figures on one line. */
const APART = 26

/** The figures over both ends of each zone, those of one zone kept apart. */
export const flankLabels = (paint: PaintedZone | null, wanted: PaintedZone | null): readonly FlankLabel[] => {
  const ends = (zone: PaintedZone | null, of: FlankLabel['of']): readonly FlankLabel[] => {
    if (!zone) return []
    const [a, b] = zone.map(atPercent) as [number, number]
    const spread = Math.max(0, (APART - (b - a)) / 2)
    return [
      { of, x: a - spread, text: String(Math.round(zone[0])) },
      { of, x: b + spread, text: String(Math.round(zone[1])) },
    ]
  }
  const painted = ends(paint, 'paint')
  // An end that lies where it is wanted is said once.
  return [...ends(wanted, 'wanted').filter((l, i) => l.text !== painted[i]?.text), ...painted]
}
