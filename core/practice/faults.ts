/** What can be hidden in a machine on the bench, or in what it is measured with. */
export const BENCH_FAULTS = [
  'soft-foot',
  'bent-foot',
  'pipe-strain',
  'strained-coupling',
  'slipping-bracket',
  'sticking-needle',
  'backlash',
  'float',
  'hanging-bar',
  'counts-other-way',
  'run-out',
  'oval-hub',
  'swapped-marks',
  'false-shim',
] as const
export type BenchFault = (typeof BENCH_FAULTS)[number]

/** How many faults free practice hides. */
export const FAULTS_HIDDEN = ['none', 'one', 'several'] as const
export type FaultsHidden = (typeof FAULTS_HIDDEN)[number]
