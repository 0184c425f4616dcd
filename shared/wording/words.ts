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
 * A subject that names sides: `turn` gives it as it is said behind the stationary machine, `upright` as it is said of a shaft
 * that stands on end, seen from above. Each made once, one object for good.
 * @__NO_SIDE_EFFECTS__
 */
export const sided = <W>(
  own: W,
  turn: (own: W) => W,
  upright: (own: W) => W = (o) => o,
): ((words: Words) => W) => {
  let [other, above]: [W | undefined, W | undefined] = [undefined, undefined]
  return ({ viewFrom }) => {
    if (viewFrom === 'movable') return own
    return viewFrom === 'above' ? (above ??= upright(own)) : (other ??= turn(own))
  }
}

/** As everything is stored: told behind the movable machine. */
export const OWN_END: Words = { viewFrom: 'movable' }
/** Told behind the stationary machine. */
export const OTHER_END: Words = { viewFrom: 'stationary' }
/** Told of a shaft that stands on end, seen from above. */
export const FROM_ABOVE: Words = { viewFrom: 'above' }

const WORDS: Readonly<Record<ViewFrom, Words>> = {
  movable: OWN_END,
  stationary: OTHER_END,
  above: FROM_ABOVE,
}

/** The words for whoever looks from there. */
export const wordsFrom = (viewFrom: ViewFrom): Words => WORDS[viewFrom]
