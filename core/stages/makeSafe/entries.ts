export const SAFETY_POINTS = ['isolated', 'locked-tagged', 'energy-released', 'tried', 'guard-off'] as const
/** Where something hangs on the shaft that a brake holds: it can come down, or run back, without any power. */
export const LOADED_SAFETY_POINTS = [
  'isolated',
  'locked-tagged',
  'load-blocked',
  'brake-safe',
  'energy-released',
  'tried',
  'guard-off',
] as const
export type SafetyPoint = (typeof LOADED_SAFETY_POINTS)[number]

export interface SafetyEntries {
  'safety-confirmed': { readonly point: SafetyPoint; readonly permit: string }
  'power-restored': { readonly why: string }
  /** Work at the machine without this lockout, and why none is needed. */
  'lockout-waived': { readonly why: string }
}
