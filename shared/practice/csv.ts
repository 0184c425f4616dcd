import { csvText } from '../files/csv'
import type { PracticeResult } from './result'

const COLUMNS = [
  'finished at',
  'person',
  'lesson',
  'machine',
  'seed',
  'hands',
  'hidden faults',
  'found',
  'ended',
  'moves',
  'fewest',
  'asked',
  'told what it is',
  'minutes',
  'went past',
] as const

/** Results as comma-separated lines, one a try. Names of people by their ids. */
export const resultsAsCsv = (
  results: readonly PracticeResult[],
  people: ReadonlyMap<string, string>,
): string => {
  const data = results.map((r) => [
    r.finishedAt,
    people.get(r.person) ?? r.person,
    r.lesson ?? '',
    r.machine,
    r.seed,
    r.hands,
    r.faults.map((f) => f.fault).join(' '),
    r.faults
      .filter((f) => f.cured)
      .map((f) => f.fault)
      .join(' '),
    r.verdict,
    r.moves,
    r.fewest,
    r.asked,
    r.helped ? 'yes' : 'no',
    Number(r.minutes.toFixed(1)),
    r.passed,
  ])
  return csvText(COLUMNS, data)
}
