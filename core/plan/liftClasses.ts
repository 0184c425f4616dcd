import type { PairLifts } from './planFoot'

/** Lifts of a pair that cost alike, lowest first. */
export interface LiftClass {
  readonly cost: number
  readonly v: Float64Array
  /** Their numbers among all lifts of the pair. */
  readonly at: Int32Array
}

/** What lifts are told apart by: not at all, shims handled, or whether the pair is opened. */
export type ClassMerit = 'share' | 'changes' | 'pairs'

const known = new WeakMap<PairLifts, Map<ClassMerit, readonly LiftClass[]>>()

/** A pair's lifts sorted into what costs alike, cheapest first. Worked out once for a pair. */
export const liftClasses = (pair: PairLifts, merit: ClassMerit): readonly LiftClass[] => {
  const own = known.get(pair) ?? new Map<ClassMerit, readonly LiftClass[]>()
  known.set(pair, own)
  const classes = own.get(merit) ?? sorted(pair, merit)
  own.set(merit, classes)
  return classes
}

const inOrder = (count: number): Int32Array => {
  const at = new Int32Array(count)
  for (let i = 0; i < count; i++) at[i] = i
  return at
}

const sorted = ({ v, changes }: PairLifts, merit: ClassMerit): readonly LiftClass[] => {
  if (merit === 'share') return [{ cost: 0, v, at: inOrder(v.length) }]
  const costOf = (i: number) => (merit === 'changes' ? (changes[i] as number) : changes[i] === 0 ? 0 : 1)
  const sizes: number[] = []
  for (let i = 0; i < v.length; i++) sizes[costOf(i)] = (sizes[costOf(i)] ?? 0) + 1
  const classes = sizes.map((size, cost) => ({
    cost,
    v: new Float64Array(size),
    at: new Int32Array(size),
    filled: 0,
  }))
  for (let i = 0; i < v.length; i++) {
    const own = classes[costOf(i)]
    if (!own) continue
    own.v[own.filled] = v[i] as number
    own.at[own.filled++] = i
  }
  return classes.filter((c) => c.filled > 0)
}

/** Two classes, of the near and of the far pair. */
export interface ClassPair {
  readonly cost: number
  readonly near: LiftClass
  readonly far: LiftClass
}

const paired = new WeakMap<LiftClass, WeakMap<LiftClass, readonly ClassPair[]>>()

/** Every class of one with every class of the other, cheapest first. Worked out once for two pairs. */
export const classPairs = (near: PairLifts, far: PairLifts, merit: ClassMerit): readonly ClassPair[] => {
  const [ofNear, ofFar] = [liftClasses(near, merit), liftClasses(far, merit)]
  const [a, b] = [ofNear[0], ofFar[0]]
  if (!a || !b) return []
  const own = paired.get(a) ?? new WeakMap<LiftClass, readonly ClassPair[]>()
  paired.set(a, own)
  const pairs =
    own.get(b) ??
    ofNear
      .flatMap((n) => ofFar.map((f) => ({ cost: n.cost + f.cost, near: n, far: f })))
      .sort((x, y) => x.cost - y.cost)
  own.set(b, pairs)
  return pairs
}
