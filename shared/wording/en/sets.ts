import type { MethodId } from '../../../core/methods/methods'
import type { TrustLevel } from '../../../core/stages/measure/measurement'
import { said } from '../words'

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six']
export const countOfSets = (n: number) => `${COUNTS[n] ?? n} ${n === 1 ? 'set' : 'sets'}`

/** What is said of sets of readings wherever they are told: how many, by which method, how far they are trusted. */
export const sets = {
  count: countOfSets,
  agree: (n: number) => `${countOfSets(n)} ${n === 1 ? 'stands' : 'agree'}`,
  methods: {
    'rim-face': 'Rim and face',
    'reverse-rim': 'Reverse rim',
    'spacer-faces': 'Faces across a spacer',
    heads: 'Heads on both shafts',
    gaps: 'Gap and straightedge',
    values: 'Values at the coupling',
    'foot-values': 'Values at two feet',
  } satisfies Record<MethodId, string>,
  trust: {
    none: 'No readings yet',
    doubtful: 'Don’t use it yet',
    unproven: 'Unproven: nothing could expose a bad reading',
    once: 'Balances; not repeated yet',
    agreed: 'Repeats',
    overridden: 'Used against a failed check, with a reason',
  } satisfies Record<TrustLevel, string>,
}

export const setsWords = said(sets)
