import { usualNames } from './en/usualNames'
import type { ViewFrom } from './otherEnd'

/** What the two machines are called inside a sentence. */
export interface Named {
  readonly movable: string
  /** Before one of its parts: the driven hub, the pan mill hub. */
  readonly stationary: string
  /** Standing alone, behind a "the". */
  readonly stationaryMachine: string
}

/**
 * How words are said to somebody. Subjects (`./en`) are asked with it, each by a function of its own: a view
 * loads the subjects it speaks of and no others.
 */
export interface Words {
  readonly viewFrom: ViewFrom
  readonly names: Named
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

/**
 * A subject that calls the two machines by their names, and may name sides as well. Made once for whoever is told.
 * @__NO_SIDE_EFFECTS__
 */
export const named = <W extends object>(
  own: (names: Named) => W,
  turn: (own: W) => W = (o) => o,
  upright: (own: W) => W = (o) => o,
): ((words: Words) => W) => {
  const plain = new WeakMap<Named, W>()
  const made = new WeakMap<Words, W>()
  const ownOf = (names: Named): W => {
    const w = plain.get(names) ?? own(names)
    plain.set(names, w)
    return w
  }
  return (words) => {
    const { viewFrom, names } = words
    if (viewFrom === 'movable') return ownOf(names)
    const w = made.get(words) ?? (viewFrom === 'above' ? upright : turn)(ownOf(names))
    made.set(words, w)
    return w
  }
}

/** As everything is stored: told behind the movable machine. */
export const OWN_END: Words = { viewFrom: 'movable', names: usualNames }
/** Told behind the stationary machine. */
export const OTHER_END: Words = { viewFrom: 'stationary', names: usualNames }
/** Told of a shaft that stands on end, seen from above. */
export const FROM_ABOVE: Words = { viewFrom: 'above', names: usualNames }

const WORDS: Readonly<Record<ViewFrom, Words>> = {
  movable: OWN_END,
  stationary: OTHER_END,
  above: FROM_ABOVE,
}

/** The words for whoever looks from there at machines of these names. */
export const wordsFrom = (viewFrom: ViewFrom, names: Named = usualNames): Words =>
  names === usualNames ? WORDS[viewFrom] : { viewFrom, names }
