export const JOB_REASONS = ['planned', 'vibration', 'new-machine', 'moved', 'wear', 'other'] as const
export type JobReason = (typeof JOB_REASONS)[number]

export interface OpeningEntries {
  'job-opened': {
    readonly reason: JobReason
    /** As read off the nameplate. */
    readonly rpm: number
    readonly customer: string
    readonly note: string
  }
}
