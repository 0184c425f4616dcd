import type { UnitSystem } from '../../units/unitSystem'

/** What is confirmed by hand and eye, in working order; a reading that nobody takes is said to be left away. */
export const PROOF_POINTS = [
  'greased',
  'heaters',
  'read-coupled',
  'set-screws',
  'hold-down-bolts',
  'turns-freely',
  'guard-on',
] as const
export type ProofPoint = (typeof PROOF_POINTS)[number]

/** Points with hands inside the machine. */
export const HANDS_IN: readonly ProofPoint[] = ['set-screws', 'hold-down-bolts', 'turns-freely', 'guard-on']

export interface ProveEntries {
  /** The lockout is off so that the uncoupled motor may be switched on for a moment; by whom. */
  'bump-begun': { readonly by: string }
  /** Which way it turned, or why nobody needs to see it. */
  'rotation-seen': { readonly seen: 'right' | 'wrong' | 'not-needed'; readonly words: string }
  'coupling-made-up': {
    readonly units: UnitSystem
    /** Mean gap between the faces as it was felt (in or mm); null where nobody felt it. */
    readonly gap: number | null
  }
  'coupling-opened': { readonly why: string }
  'proof-confirmed': {
    readonly point: ProofPoint
    readonly how: 'done' | 'not-here'
    readonly words: string
  }
}
