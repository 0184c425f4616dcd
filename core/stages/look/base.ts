import { sizeVerdict } from '../../judge/sizeVerdict'
import { slopeByDivisions, slopeByFeeler } from '../../level/levelReading'
import { baseLevel } from '../../level/levelShim'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { toCore, type Millimetres, type Slope } from '../../units/unitSystem'
import { BASE_EDGES, type BaseEdge } from './entries'

export const BASE_CORNERS = ['coupling-left', 'coupling-right', 'far-left', 'far-right'] as const
export type BaseCorner = (typeof BASE_CORNERS)[number]

/** A base counts as level up to this slope along any edge, the starting value: half a mil an inch. */
export const BASE_LIMIT: Slope = 0.0005

/** How a base lies, and what brings it level. */
export interface BaseFound {
  readonly entry: LogEntry<'base-read'>
  /** Rising toward the far end along the sides, toward 3 across the ends. */
  readonly edges: Readonly<Record<BaseEdge, Slope>>
  readonly along: Slope
  readonly across: Slope
  /** Under each corner, to bring all to the highest. */
  readonly shims: Readonly<Record<BaseCorner, Millimetres>>
  /** How much more the side at the right rises than the one at the left: what no shim at a corner cures alone. */
  readonly twist: Slope
  readonly verdict: 'in' | 'edge' | 'out'
  /** The two sides, or the two ends, differ by more than the limit: the base is twisted, or a reading is wrong. */
  readonly twisted: boolean
}

const HEADING: Readonly<Record<BaseEdge, number>> = { left: 0, right: 0, coupling: 90, far: 90 }

const slopesOf = ({ payload }: LogEntry<'base-read'>): Record<BaseEdge, Slope> => {
  const { by, units } = payload
  const slope = (edge: BaseEdge): Slope => {
    if (by.by === 'feeler') {
      const { feeler, farLow } = by.edges[edge]
      const size = slopeByFeeler(feeler, by.supported, units)
      return farLow ? -size : size
    }
    const { divisions, reversed } = by.edges[edge]
    return slopeByDivisions(divisions, reversed, by.sensitivity, units).slope
  }
  return { left: slope('left'), right: slope('right'), coupling: slope('coupling'), far: slope('far') }
}

/** The plane through four edges, the shim under each corner, and whether a plane is all there is to it. */
export const levelBase = remember((entry: LogEntry<'base-read'>): BaseFound => {
  const edges = slopesOf(entry)
  const { length, width, units } = entry.payload
  const [l, w] = [toCore(length, 'distance', units), toCore(width, 'distance', units)]
  const level = baseLevel(
    BASE_EDGES.map((edge) => ({ heading: HEADING[edge], slope: edges[edge] })),
    BASE_CORNERS.map((id) => ({
      id,
      along: id.startsWith('far') ? l : 0,
      across: id.endsWith('right') ? w : 0,
    })),
  )
  // Two headings a quarter turn apart always tell both slopes.
  if (!level) throw new Error('The four edges of a base lie along one line.')
  const shims = Object.fromEntries(level.shims.map((s) => [s.id, s.shim])) as Record<BaseCorner, Millimetres>
  const worst = Math.max(...BASE_EDGES.map((e) => Math.abs(edges[e])))
  const limit = BASE_LIMIT * (1 + 1e-9)
  return {
    entry,
    edges,
    along: level.slopeAlong,
    across: level.slopeAcross,
    shims,
    twist: edges.right - edges.left,
    verdict: sizeVerdict(worst, limit),
    twisted: Math.abs(edges.right - edges.left) > limit || Math.abs(edges.far - edges.coupling) > limit,
  }
})
