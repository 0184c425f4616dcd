import { fitLine, type Misalignment } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'

/** What an instrument shows at a foot pair. */
export interface FootValue {
  readonly x: Millimetres
  readonly v: Millimetres
  readonly h: Millimetres
}

/**
 * The line through values typed at two or more foot pairs: positions of the axis, or the
 * corrections that would bring it to zero. Least squares beyond two. Needs two different x.
 */
export const lineOfFootValues = (
  values: readonly FootValue[],
  kind: 'position' | 'correction',
): Misalignment => {
  const sign = kind === 'position' ? 1 : -1
  const v = fitLine(values.map((f) => ({ x: f.x, y: sign * f.v })))
  const h = fitLine(values.map((f) => ({ x: f.x, y: sign * f.h })))
  return { offset: { v: v.offset, h: h.offset }, slope: { v: v.slope, h: h.slope } }
}
