import { nearestLimit, type FoundLimit, type Limited, type LimitSet } from '../../core/judge/limitSets'
import type { MeasuredMachine } from '../../core/register/measuredMachine'
import { limits, limitsWords } from './en'
import type { Telling } from './telling'

/** What the source sentence needs to know of a tolerance, contract or core. */
interface SourcedTolerance {
  readonly form: 'offset-slope' | 'flex-plane' | 'window' | 'speed-rule'
  readonly grade?: 'fine' | 'standard'
  readonly spoolLength?: number | undefined
  readonly source?: string
}

/** The row that a limit comes from, in words that stand beside it. */
export const foundWords = (
  { from }: FoundLimit,
  grade: 'fine' | 'standard',
  rpm: number | null,
  words = limits,
): string => {
  const speed = rpm === null ? '?' : String(rpm)
  if (!from) return words.bySpeed(grade, speed)
  const { set, row } = from
  return words.bySet(
    words.revision(set.name, set.revision),
    row.upTo === null ? words.everySpeed : words.upTo(String(row.upTo)),
    grade,
    speed,
  )
}

/** Where a limit comes from, in words that print beside every verdict. `sets` nearest first. */
export const toleranceSource = (
  tolerance: SourcedTolerance,
  rpm: number | null,
  words = limits,
  sets: readonly LimitSet[] = [],
): string => {
  if (tolerance.form === 'speed-rule') {
    const grade = tolerance.grade ?? 'standard'
    if (sets.length === 0) return tolerance.source || words.bySpeed(grade, rpm === null ? '?' : String(rpm))
    const ruled: readonly Limited[] =
      tolerance.spoolLength === undefined ? ['offset', 'slope'] : ['flexSlope']
    const told = ruled.map((quantity) => ({
      quantity,
      source: foundWords(nearestLimit(sets, quantity, grade, rpm ?? 0), grade, rpm, words),
    }))
    const [first] = told
    return first && told.every((t) => t.source === first.source)
      ? first.source
      : told.map((t) => words.each(words.of[t.quantity], t.source)).join(' ')
  }
  if (tolerance.source) return tolerance.source
  return tolerance.form === 'window' ? words.window : words.given
}

/** Where the limits of a job come from, at the speed that was read off. */
export const limitSource = (
  { machine, rpm }: { readonly machine: MeasuredMachine; readonly rpm: number },
  { words }: Pick<Telling, 'words'>,
): string => toleranceSource(machine.tolerance, rpm, limitsWords(words), machine.limitSets)
