/** Kinds of coupling that are looked into differently. */
export const COUPLING_TYPES = [
  'jaw',
  'grid',
  'chain',
  'gear',
  'disc',
  'pin-bush',
  'tyre',
  'rigid',
  'other',
] as const
export type CouplingType = (typeof COUPLING_TYPES)[number]

/** What can be looked at in a coupling. */
export const COUPLING_PARTS = [
  'spider',
  'grid',
  'chain',
  'teeth',
  'discs',
  'bushes',
  'tyre',
  'insert',
  'grease',
  'gasket',
  'keys',
  'set-screws',
] as const
export type CouplingPart = (typeof COUPLING_PARTS)[number]

const HELD_BY = ['keys', 'set-screws'] as const
const PARTS: Readonly<Record<CouplingType, readonly CouplingPart[]>> = {
  jaw: ['spider', ...HELD_BY],
  grid: ['grid', 'grease', 'gasket', ...HELD_BY],
  chain: ['chain', 'grease', 'gasket', ...HELD_BY],
  gear: ['teeth', 'grease', 'gasket', ...HELD_BY],
  disc: ['discs', ...HELD_BY],
  'pin-bush': ['bushes', ...HELD_BY],
  tyre: ['tyre', ...HELD_BY],
  rigid: HELD_BY,
  other: ['insert', 'grease', ...HELD_BY],
}

/** What is looked at in a coupling of this kind once it is opened, inside out. */
export const partsOfCoupling = (type: CouplingType = 'other'): readonly CouplingPart[] => PARTS[type]
