import { ALIGNED } from '../../core/frame/planes'
import { settleTolerance } from '../../core/judge/tolerance'
import type { PlanFoot } from '../../core/plan/movePlan'
import { seededRandom } from '../../core/random/random'
import type { StockShim } from '../../core/shims/leafKinds'
import type { Train } from '../../core/train/train'

/** Thirty thicknesses with nothing in common and two laminated kinds, the same at every run. */
const dense = (count: number): readonly StockShim[] => {
  const random = seededRandom(7)
  return [
    ...Array.from({ length: 30 }, () => ({
      thickness: Number((0.025 + random() * 3).toFixed(4)),
      count,
      kind: 'plain' as const,
    })),
    { thickness: 0.8128, count, kind: 'laminated', layer: 0.0508 },
    { thickness: 1.6256, count, kind: 'laminated', layer: 0.0762 },
  ]
}

/** Plenty of everything, and two of each over all feet. */
export const DENSE_SHELVES = [
  { name: 'dense shelf', stock: dense(40) },
  { name: 'two of each', stock: dense(2) },
] as const

const pair = (id: string, x: number, left: readonly number[], right: readonly number[]): PlanFoot => ({
  id,
  x,
  existing: { left, right },
  maxPack: 12,
  sidePlus: 1.5,
  sideMinus: 1.5,
})

/** Pairs whose left and right packs differ, so that nothing is worked out only once. */
export const ROOMY_FEET = [
  pair('inboard', 304.8, [0.635, 0.254], [0.508, 0.1346]),
  pair('outboard', 876.3, [0.635], [0.254, 0.381]),
]
export const OPPOSITE_FEET = ROOMY_FEET.map((f) => ({
  ...f,
  id: `s-${f.id}`,
  machine: 'stationary' as const,
  x: -f.x,
}))

const COUPLINGS = 7
/** Eight machines in a row, 1.5 m from coupling to coupling, none of them in line with the next. */
export const TRAIN_OF_EIGHT: Train = {
  machines: Array.from({ length: COUPLINGS + 1 }, (_, i) => ({
    id: `m${i}`,
    feet: [
      pair(`m${i}-a`, 1500 * i + 300, [0.635, 0.254], [0.635, 0.254]),
      pair(`m${i}-b`, 1500 * i + 1200, [0.508], [0.508]),
    ],
  })),
  couplings: Array.from({ length: COUPLINGS }, (_, i) => ({
    id: `c${i}`,
    x: 1500 * (i + 1),
    left: `m${i}`,
    right: `m${i + 1}`,
    stationary: 'left' as const,
    coupling: {
      offset: { v: 0.2 * Math.sin(3 * i + 1), h: 0.2 * Math.cos(2 * i) },
      slope: { v: 0.0004 * Math.cos(i), h: -0.0003 * Math.sin(i) },
    },
    target: ALIGNED,
    tolerance: settleTolerance({ form: 'speed-rule', mode: 'plane', grade: 'standard' }, 1480),
  })),
}
