/** What can be hidden in dials, in what carries them and in what they ride on: heads know none of it. */
export const DIAL_FAULTS = [
  'slipping-bracket',
  'sticking-needle',
  'backlash',
  'float',
  'hanging-bar',
  'counts-other-way',
  'run-out',
  'oval-hub',
  'swapped-marks',
] as const

/** What can be hidden in a coupled machine on the bench, or in what it is measured with. */
export const COUPLED_FAULTS = [
  'wrong-nameplate',
  'soft-foot',
  'bent-foot',
  'pipe-strain',
  'strained-coupling',
  ...DIAL_FAULTS,
  'false-shim',
  'still-warm',
] as const
export type CoupledFault = (typeof COUPLED_FAULTS)[number]

/** What can be hidden in a belt drive. */
export const DRIVE_FAULTS = [
  'turned-motor',
  'tilted-motor',
  'unequal-rims',
  'wobbling-sheave',
  'mismatched-belt',
  'bedding-belts',
  'sticking-base',
  'changed-sheave',
] as const
export type DriveFault = (typeof DRIVE_FAULTS)[number]

export const BENCH_FAULTS = [...COUPLED_FAULTS, ...DRIVE_FAULTS] as const
export type BenchFault = CoupledFault | DriveFault

/** How many faults free practice hides. */
export const FAULTS_HIDDEN = ['none', 'one', 'several'] as const
export type FaultsHidden = (typeof FAULTS_HIDDEN)[number]
