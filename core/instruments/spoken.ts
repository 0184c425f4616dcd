import type { LogEntry } from '../logbook/entry'

/** Which instruments spoke in a job, each once a place, in the order they came. */
export const instrumentsSpoken = (logbook: readonly LogEntry[]): readonly LogEntry<'instrument-spoke'>[] =>
  logbook.filter((e): e is LogEntry<'instrument-spoke'> => e.kind === 'instrument-spoke')

/** Whether a calibration had run out on a day, YYYY-MM-DD or an ISO moment; one without a date never runs out. */
export const ranOut = (calibrated: string | null, on: string): boolean =>
  calibrated !== null && calibrated < on.slice(0, 10)
