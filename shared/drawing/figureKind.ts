/** How a judged figure of a job is counted. */
export type FigureKind = 'displacement' | 'slope' | 'angle' | 'force' | 'percent'

const KINDS: readonly (readonly [begins: string, kind: FigureKind])[] = [
  ['offset', 'displacement'],
  ['sheaves.offset', 'displacement'],
  // Turn, tilt and fleet angle of sheaves are radians.
  ['sheaves.', 'angle'],
  ['belts.tension', 'force'],
  ['drum.', 'displacement'],
  ['contact.', 'percent'],
  ['gear.backlash', 'displacement'],
]

/** How a figure of this name is counted, whichever coupling of a train it is of; whatever isn't named is a slope. */
export const figureKind = (name: string): FigureKind =>
  KINDS.find(([begins]) => name.slice(name.indexOf(':') + 1).startsWith(begins))?.[1] ?? 'slope'
