import type { LimitSetFields } from '../../shared/limits/limitSet'
import { demoId } from './works'

const limitRow = (
  upTo: number | null,
  fine: readonly [number | null, number | null, number | null],
  standard: readonly [number | null, number | null, number | null],
) => {
  const of = ([offset, slope, flexSlope]: typeof fine) => ({ offset, slope, flexSlope })
  return { upTo, fine: of(fine), standard: of(standard) }
}

/** The gear coupling's maker gives an offset only; the works has a table of its own in preparation. */
export const LIMIT_SETS: readonly (LimitSetFields & { readonly id: string })[] = [
  {
    id: demoId('limits/gear coupling'),
    level: 'coupling',
    coupling: 'Gear coupling',
    name: 'Gear couplings by their maker',
    source: 'Maker’s sheet, Orrin Vale file 33',
    revision: 'C',
    units: 'metric',
    rows: [
      limitRow(300, [0.1, null, null], [0.18, null, null]),
      limitRow(750, [0.08, null, null], [0.12, null, null]),
      limitRow(1500, [0.05, null, null], [0.08, null, null]),
    ],
    inForce: true,
  },
  {
    id: demoId('limits/works'),
    level: 'works',
    coupling: '',
    name: 'Orrin Vale table',
    source: 'Drafted by the maintenance lead from ten years of good runs',
    revision: 'draft 2',
    units: 'inch',
    rows: [
      limitRow(1000, [3, 0.6, 0.8], [5, 1, 1.6]),
      limitRow(1500, [2, 0.4, 0.6], [3.5, 0.7, 1.2]),
      limitRow(3000, [1.2, 0.2, 0.3], [2, 0.35, 0.6]),
    ],
    inForce: false,
  },
]
