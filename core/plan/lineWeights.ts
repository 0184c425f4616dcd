import type { Millimetres } from '../units/unitSystem'
import type { MachineRole } from './pairNames'

/** What one unit of movement at a pair does to the judged line. */
export interface LineWeight {
  readonly offset: number
  readonly slope: number
}

/**
 * How moves at the pairs of one machine shift the judged line, pair by pair: the least-squares line through
 * all of them, which with two pairs is the line through both. Raising the movable machine raises d(x),
 * raising the stationary one lowers it.
 */
export const lineWeights = (role: MachineRole, at: readonly Millimetres[]): readonly LineWeight[] => {
  const sign = role === 'movable' ? 1 : -1
  const mean = at.reduce((s, x) => s + x, 0) / at.length
  const spread = at.reduce((s, x) => s + (x - mean) ** 2, 0)
  return at.map((x) => {
    const slope = spread > 0 ? (x - mean) / spread : 0
    return { offset: sign * (1 / at.length - mean * slope), slope: sign * slope }
  })
}
