import { en } from './en'

/** What the source sentence needs to know of a tolerance, contract or core. */
interface SourcedTolerance {
  readonly form: 'offset-slope' | 'flex-plane' | 'window' | 'speed-rule'
  readonly grade?: 'fine' | 'standard'
  readonly spoolLength?: number
  readonly source?: string
}

/** Where a limit comes from, in words that print beside every verdict. */
export const toleranceSource = (
  tolerance: SourcedTolerance,
  rpm: number | null,
  words = en.limits,
): string => {
  if (tolerance.source) return tolerance.source
  if (tolerance.form === 'speed-rule')
    return words.bySpeed(tolerance.grade ?? 'standard', rpm === null ? '?' : String(rpm))
  return tolerance.form === 'window' ? words.window : words.given
}
