import type { LimitSetFields } from './limitSet'

const row = (
  upTo: number | null,
  fine: readonly [number | null, number | null, number | null],
  standard: readonly [number | null, number | null, number | null],
) => {
  const of = ([offset, slope, flexSlope]: typeof fine) => ({ offset, slope, flexSlope })
  return { upTo, fine: of(fine), standard: of(standard) }
}

/** A coupling's sheet that says nothing of angles, and a works' table. */
export const LIMIT_SETS: readonly LimitSetFields[] = [
  {
    level: 'coupling',
    coupling: 'Grid coupling',
    name: 'Grid sheet',
    source: 'maker',
    revision: '',
    units: 'inch',
    rows: [row(null, [2, null, null], [4, null, null])],
    inForce: true,
  },
  {
    level: 'works',
    coupling: '',
    name: 'Works table',
    source: 'sheet 9',
    revision: '3',
    units: 'inch',
    rows: [row(1000, [3, 0.6, 0.8], [5, 1, 1.6]), row(1500, [2, 0.4, 0.6], [3.5, 0.7, 1.2])],
    inForce: true,
  },
]
