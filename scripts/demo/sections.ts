import type { SectionFields } from '../../shared/sections/section'
import { demoId } from './works'

/** The one chart of forces that the demo works keeps: its other drives have stickers, or go by power and speed. */
export const SECTIONS: readonly (SectionFields & { readonly id: string })[] = [
  {
    id: demoId('sections/B notched'),
    section: 'B',
    construction: 'notched',
    source: 'Maker’s sheet, Orrin Vale file 12',
    units: 'metric',
    topWidth: 17,
    height: 11,
    mass: 0.19,
    smallestSheave: 100,
    stiffness: null,
    spanOver: 64,
    rows: [
      { from: 85, to: 105, speed: null, force: { new: [26, 30], 'run-in': [17, 20] } },
      { from: 105, to: 140, speed: null, force: { new: [32, 38], 'run-in': [22, 26] } },
      { from: 140, to: null, speed: null, force: { new: [40, 46], 'run-in': [27, 31] } },
    ],
    inUse: true,
  },
]
