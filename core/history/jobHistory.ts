import type { LogEntry } from '../logbook/entry'
import { standingEntries } from '../logbook/standing'
import type { MachineRole, Side } from '../plan/pairNames'
import type { JobReason } from '../stages/open/entries'
import { flangeDone, type FlangeDone } from './flangeDone'
import { NOTHING, onceEach, sumOfLeaves } from './changes'
import { FOOTWORK_KINDS, footworkIn } from './footwork'
import { gearDone, type GearDone } from './gearDone'
import { toCore, type Millimetres } from '../units/unitSystem'

/** What one job changed at one foot pair, and who did it. */
export interface PairMoved {
  /** The coupling or machine of a train that it was written at; null on any other machine. */
  readonly unit: string | null
  readonly machine: MachineRole
  readonly pair: string
  /** Leaves put in less leaves taken out. */
  readonly raised: Readonly<Record<Side, Millimetres>>
  /** Pushed sideways, toward 3 positive. */
  readonly pushed: Millimetres
  /** Ids of those who wrote it, in order. */
  readonly by: readonly string[]
}

/** Something somebody said in a job. */
export interface SaidInJob {
  readonly text: string
  readonly by: string
  readonly at: string
}

/** A past job told from its logbook. */
export interface JobHistory {
  readonly reason: JobReason | null
  /** What was noted at the opening. */
  readonly note: string
  readonly signedBy: string
  readonly exception: string
  readonly remarks: readonly SaidInJob[]
  readonly moved: readonly PairMoved[]
  /** What was done under the bolts of a flange; null where nothing was. */
  readonly flange: FlangeDone | null
  /** What was shifted or laid at a gearset; null where nothing was. */
  readonly gear: GearDone | null
  /** What was done to the belts: new ones, or their tension changed. */
  readonly belts: { readonly fitted: boolean; readonly pulled: boolean }
}

/** Kinds of entry that a history is told from. */
export const TOLD_BY = [
  'job-opened',
  'job-closed',
  'remark',
  'belts-fitted',
  'tension-adjusted',
  'line-corrected',
  'flange-moved',
  'gear-shifted',
  'layers-changed',
  ...FOOTWORK_KINDS,
] as const satisfies readonly LogEntry['kind'][]

/** What was done at each foot pair over a job, by the entries that stand; pairs that end where they began are left out. */
export const pairsMoved = (entries: readonly LogEntry[]): readonly PairMoved[] => {
  const pairs = new Map<string, PairMoved>()
  const add = (
    { machine, pair }: { readonly machine: MachineRole; readonly pair: string },
    { author: by, part = null }: Pick<LogEntry, 'author'> & { readonly part?: string | null | undefined },
    more: (was: PairMoved) => Partial<PairMoved>,
  ) => {
    const key = `${part ?? ''} ${machine} ${pair}`
    const was = pairs.get(key) ?? {
      unit: part,
      machine,
      pair,
      raised: { left: 0, right: 0 },
      pushed: 0,
      by: [],
    }
    pairs.set(key, { ...was, ...more(was), by: onceEach(was.by, by) })
  }
  for (const e of entries) {
    const work = footworkIn(e)
    if (!work) continue
    for (const change of work.changes)
      add(change, e, ({ raised }) => ({
        raised: {
          ...raised,
          [change.side]:
            raised[change.side] +
            sumOfLeaves(change.putIn, work.units) -
            sumOfLeaves(change.takenOut, work.units),
        },
      }))
    for (const push of work.side)
      add(push, e, ({ pushed }) => ({
        pushed: pushed + toCore(push.moved, 'displacement', work.units),
      }))
  }
  return [...pairs.values()].filter((p) =>
    [p.raised.left, p.raised.right, p.pushed].some((mm) => Math.abs(mm) > NOTHING),
  )
}

/** Tells a job from its logbook, or from those of its entries that are of a kind in TOLD_BY. */
export const jobHistory = (logbook: readonly LogEntry[]): JobHistory => {
  const entries = standingEntries(logbook)
  const opening = entries.find((e) => e.kind === 'job-opened')?.payload
  const closing = entries.filter((e) => e.kind === 'job-closed').at(-1)
  const remarks = entries.flatMap((e): readonly SaidInJob[] =>
    e.kind === 'remark' ? [{ text: e.payload.text, by: e.author, at: e.madeAt }] : [],
  )
  const signed = closing && closing.payload.remarks.trim() !== ''
  return {
    reason: opening?.reason ?? null,
    note: opening?.note ?? '',
    signedBy: closing?.payload.signedBy ?? '',
    exception: closing?.payload.exception ?? '',
    remarks: signed
      ? [...remarks, { text: closing.payload.remarks, by: closing.author, at: closing.madeAt }]
      : remarks,
    moved: pairsMoved(entries),
    flange: flangeDone(entries),
    gear: gearDone(entries),
    belts: {
      fitted: entries.some((e) => e.kind === 'belts-fitted' && e.payload.belts === 'new'),
      pulled: entries.some(
        (e) => e.kind === 'belts-fitted' || e.kind === 'tension-adjusted' || e.kind === 'line-corrected',
      ),
    },
  }
}
