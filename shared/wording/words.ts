import type { ViewFrom } from './otherEnd'

/**
 * How words are said to somebody. Subjects (`./en`) are asked with it, each by a function of its own: a view
 * loads the subjects it speaks of and no others.
 */
export interface Words {
  readonly viewFrom: ViewFrom
}

/**
 * A subject that names no side: the same from both ends.
 * @__NO_SIDE_EFFECTS__
 */
export const said =
  <W>(own: W) =>
  (_: Words): W =>
    own

/**
 * A subject that names sides: `turn` gives it as it is said behind the stationary machine. Turned once, one object for good.
 * @__NO_SIDE_EFFECTS__
 */
export const sided = <W>(own: W, turn: (own: W) => W): ((words: Words) => W) => {
  let other: W | undefined
  return ({ viewFrom }) => (viewFrom === 'movable' ? own : (other ??= turn(own)))
}

/** As everything is stored: told behind the movable machine. */
export const OWN_END: Words = { viewFrom: 'movable' }
/** Told behind the stationary machine. */
export const OTHER_END: Words = { viewFrom: 'stationary' }

/** The words for whoever looks from this end. */
export const wordsFrom = (viewFrom: ViewFrom): Words => (viewFrom === 'movable' ? OWN_END : OTHER_END)
