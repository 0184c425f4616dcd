/** What the source sentence needs to know of a tolerance, contract or core. */
interface SourcedTolerance {
  readonly form: 'offset-slope' | 'flex-plane' | 'window' | 'speed-rule'
  readonly grade?: 'fine' | 'standard'
  readonly spoolLength?: number
  readonly source?: string
}

/** Where a limit comes from, in words that print beside every verdict. */
export const toleranceSource = (tolerance: SourcedTolerance, rpm: number | null): string => {
  if (tolerance.source) return tolerance.source
  if (tolerance.form === 'speed-rule')
    return `Starting point by speed, ${tolerance.grade ?? 'standard'} grade at ${rpm ?? '?'} rpm. The maker’s or the site’s value overrides it.`
  return tolerance.form === 'window' ? 'Window given with the job' : 'Limit given with the job'
}
