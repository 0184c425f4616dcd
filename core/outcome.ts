/** Why a calculation was refused: a code and numbers. Words for people live outside core. */
export interface Refusal {
  readonly code: RefusalCode
  /** Where in the input the trouble lies, as property names and indexes. */
  readonly path: readonly (string | number)[]
  readonly numbers?: Readonly<Record<string, number>>
}

export type RefusalCode =
  | 'too-few-positions'
  | 'planes-at-one-place'
  | 'dial-never-travels'
  | 'dial-on-its-own-hub'
  | 'nothing-measured'
  | 'bounds-off-quarters'
  | 'bounds-empty'
  | 'not-a-dial-method'
  | 'only-bounds'
  | 'unknown-method'
  | 'nothing-in-stock'
  | 'bolts-not-paired'
  | 'bolts-on-a-line'
  | 'belt-too-short'
  | 'sheaves-touch'
  | 'no-room-for-tension'
  | 'sheave-out-of-range'
  | 'times-not-rising'
  | 'force-from-stiffness-alone'
  | 'turns-all-alike'
  | 'no-rising-force'
  | 'no-chart-row'
  | 'no-solution'
  | 'pair-off-plane'
  | 'arc-too-short'
  | 'amplified-too-much'
  | 'faces-not-opposite'
  | 'plungers-differ'
  | 'feet-at-one-place'
  | 'speed-needed'
  | 'beyond-double-range'

/** Either a value or the reasons there is none. Core never throws on validated input. */
export type Outcome<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refusals: readonly Refusal[] }

/** Wraps a value as a successful outcome. */
export const done = <T>(value: T): Outcome<T> => ({ ok: true, value })

/** Wraps one refusal as a failed outcome. */
export const refused = (
  code: RefusalCode,
  path: readonly (string | number)[],
  numbers?: Readonly<Record<string, number>>,
): Outcome<never> => ({ ok: false, refusals: [numbers ? { code, path, numbers } : { code, path }] })

/** The same failed outcome with every path moved below `prefix`. */
export const refusedBelow = (
  prefix: readonly (string | number)[],
  refusals: readonly Refusal[],
): Outcome<never> => ({
  ok: false,
  refusals: refusals.map((r) => ({ ...r, path: [...prefix, ...r.path] })),
})
