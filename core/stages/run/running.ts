import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { marginIn, verdictOfMargin, type Verdict } from '../../judge/judge'
import { RUN_POINTS, type RunPoint } from './entries'

/** What was confirmed of the closed-up drive, last entry a point. */
export type RunFacts = readonly LogEntry<'run-confirmed'>[]

export const keepRunning = (now: RunFacts, e: LogEntry): RunFacts => {
  switch (e.kind) {
    case 'run-confirmed':
      return [...now.filter((r) => r.payload.point !== e.payload.point), e]
    case 'gear-refitted':
    case 'gear-shifted':
    case 'layers-changed':
    case 'gear-tightened':
    case 'slacked-off':
    case 'line-corrected':
    case 'tension-adjusted':
    case 'setting-read':
      // Hands were in it again.
      return now.length === 0 ? now : []
    default:
      return now
  }
}

export interface Running {
  readonly facts: RunFacts
  readonly rows: readonly { readonly point: RunPoint; readonly entry: LogEntry<'run-confirmed'> | null }[]
  readonly next: RunPoint | null
  readonly bad: readonly RunPoint[]
  /** What the motor drew, against its plate. */
  readonly current: {
    readonly amperes: number
    readonly plate: number | null
    readonly verdict: Verdict | null
  } | null
}

export const checkRunning = remember(
  (machine: { readonly plateCurrent?: number }, facts: RunFacts): Running => {
    const rows = RUN_POINTS.map((point) => ({
      point,
      entry: facts.find((f) => f.payload.point === point) ?? null,
    }))
    const amperes = facts.find((f) => f.payload.current !== null)?.payload.current ?? null
    const plate = machine.plateCurrent ?? null
    return {
      facts,
      rows,
      next: rows.find((r) => r.entry === null)?.point ?? null,
      bad: rows.filter((r) => r.entry?.payload.found === 'bad').map((r) => r.point),
      current:
        amperes === null
          ? null
          : {
              amperes,
              plate,
              verdict: plate === null ? null : verdictOfMargin(marginIn(amperes, [null, plate])),
            },
    }
  },
)
