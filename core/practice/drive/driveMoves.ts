import type { EntryBody } from '../../logbook/entry'

const movesIn = (e: EntryBody): number =>
  e.kind === 'line-corrected'
    ? e.payload.steps.length
    : e.kind === 'tension-adjusted' || (e.kind === 'belts-fitted' && e.payload.belts === 'new')
      ? 1
      : 0

/**
 * Moves of a logbook, as `fewestOnDrive` counts them: each step of a line, a motor squared anew, another set, a turn of
 * the screws. Entries that stand.
 */
export const driveMovesMade = (entries: readonly EntryBody[]): number => {
  const squared = entries.filter((e) => e.kind === 'motor-squared').length
  return entries.reduce((n, e) => n + movesIn(e), 0) + Math.max(0, squared - 1)
}
