import type { ToolId } from '../../tools/toolsToTake'

export const JOB_REASONS = ['planned', 'vibration', 'new-machine', 'moved', 'wear', 'other'] as const
export type JobReason = (typeof JOB_REASONS)[number]

export interface OpeningEntries {
  'job-opened': {
    readonly reason: JobReason
    /** As read off the nameplate. */
    readonly rpm: number
    readonly customer: string
    /** Where it stands, where the customer has several. */
    readonly site?: string | undefined
    readonly note: string
  }
  /** What goes along to the machine. */
  'tools-taken': {
    readonly tools: readonly ToolId[]
    /** As the stores had them when they were taken. */
    readonly instruments: readonly TakenInstrument[]
    readonly words: string
  }
}

/** An instrument as the stores had it when it was taken. */
export interface TakenInstrument {
  readonly id: string
  readonly name: string
  /** The last day its calibration holds, YYYY-MM-DD; null where it has none. */
  readonly due: string | null
}
