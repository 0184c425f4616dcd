/**
 * A pure function that answers at once when it is asked again about the very same objects. Entries
 * never change, so what was worked out from one entry, or from a list of them, holds for good.
 * Answers go when the objects they are about go.
 *
 * Making one does nothing by itself: what a view does not use is left out of its script.
 * @__NO_SIDE_EFFECTS__
 */
export const remember = <A extends readonly object[], R>(work: (...about: A) => R): ((...about: A) => R) => {
  interface Node {
    /** Most nodes are the end of a way and never have any. */
    next?: WeakMap<object, Node>
    known?: { readonly answer: R }
  }
  const root: Node = {}
  return (...about) => {
    let at = root
    for (const one of about) {
      at.next ??= new WeakMap()
      let found = at.next.get(one)
      if (!found) {
        found = {}
        at.next.set(one, found)
      }
      at = found
    }
    at.known ??= { answer: work(...about) }
    return at.known.answer
  }
}
