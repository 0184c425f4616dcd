/** Before it is handed back, in working order. */
export const RUN_POINTS = ['turned', 'tools-out', 'guard-on', 'ran', 'listened'] as const
export type RunPoint = (typeof RUN_POINTS)[number]

/** Points with hands inside the machine; the rest belong to a drive that runs. */
export const HANDS_AT_DRIVE: readonly RunPoint[] = ['turned', 'tools-out', 'guard-on']

export interface RunEntries {
  'run-confirmed': {
    readonly point: RunPoint
    readonly found: 'good' | 'bad'
    /** Of the running motor, amperes; null where nobody read it. */
    readonly current: number | null
    readonly words: string
  }
}
