import type { EntryBody, LogEntry } from '../logbook/entry'
import type { StageId } from '../jobs/jobs'
import type { MachineOf, TrySetting } from './setting'
import type { PracticeStep } from './steps'

/** One kind of machine on the bench: how it is drawn, what hands do to it and what a try of it comes to. */
export interface KindOfBench<K extends TrySetting['machine']['drive'], Bench, Now, Act, Refusal> {
  readonly drive: K
  readonly draw: (setting: TrySetting & { readonly machine: MachineOf<K> }) => Bench
  readonly fresh: (bench: Bench) => Now
  /** Why hands can't do that now; null when they can. */
  readonly refusal: (bench: Bench, now: Now, act: Act) => Refusal | null
  readonly after: (bench: Bench, now: Now, act: Act) => Now
  /** What was done before the hands come in, logged and by hand; fetched as a try is begun, for one that goes on needs it no more. */
  readonly opening: (
    bench: Bench,
    from: StageId,
  ) => Promise<{ readonly entries: readonly EntryBody[]; readonly acts: readonly Act[] }>
  /** What hands do along with an entry that is logged; null where nothing. */
  readonly along: (bench: Bench, now: Now, entry: LogEntry) => Act | null
  /** The set that an entry wrote and a check refuses, to be used all the same while the checks keep quiet; null where none. */
  readonly refusedSet: (bench: Bench, entries: readonly LogEntry[], entry: LogEntry) => string | null
  readonly moves: (entries: readonly EntryBody[]) => number
}

/** The bench as a try has left it. */
export const benchAsLeft = <K extends TrySetting['machine']['drive'], B, N, A, R>(
  kind: KindOfBench<K, B, N, A, R>,
  bench: B,
  steps: readonly PracticeStep[],
): N =>
  steps.reduce<N>(
    // A try holds acts of its own kind alone.
    (now, step) => ('act' in step ? kind.after(bench, now, step.act as A) : now),
    kind.fresh(bench),
  )
