import type { LogEntry } from '../logbook/entry'
import { NOTHING, onceEach, sumOfLeaves } from './changes'
import { toCore, type Millimetres } from '../units/unitSystem'

/** What one job changed under one bolt of a flange, and who did it. */
export interface BoltMoved {
  readonly bolt: string
  /** Leaves put in less leaves taken out. */
  readonly raised: Millimetres
  /** Ids of those who wrote it, in order. */
  readonly by: readonly string[]
}

/** What one job did at a flange. */
export interface FlangeDone {
  /** By bolt number; bolts that end as they began are left out. */
  readonly bolts: readonly BoltMoved[]
  /** Pushed toward 12 and toward 3. */
  readonly pushed: { readonly v: Millimetres; readonly h: Millimetres }
  readonly by: readonly string[]
}

/** What was done under each bolt and to the flange as a whole over a job, by the entries that stand; null where nothing was. */
export const flangeDone = (entries: readonly LogEntry[]): FlangeDone | null => {
  const bolts = new Map<string, BoltMoved>()
  let pushed = { v: 0, h: 0 }
  let by: readonly string[] = []
  for (const e of entries) {
    if (e.kind !== 'flange-moved') continue
    const { units, changes, pushed: push } = e.payload
    by = onceEach(by, e.author)
    for (const { bolt, putIn, takenOut } of changes) {
      const was = bolts.get(bolt) ?? { bolt, raised: 0, by: [] }
      bolts.set(bolt, {
        bolt,
        raised: was.raised + sumOfLeaves(putIn, units) - sumOfLeaves(takenOut, units),
        by: onceEach(was.by, e.author),
      })
    }
    if (push)
      pushed = {
        v: pushed.v + toCore(push.v, 'displacement', units),
        h: pushed.h + toCore(push.h, 'displacement', units),
      }
  }
  const changed = [...bolts.values()]
    .filter((b) => Math.abs(b.raised) > NOTHING)
    .sort((a, b) => Number(a.bolt) - Number(b.bolt))
  const still = Math.hypot(pushed.v, pushed.h) <= NOTHING
  return changed.length === 0 && still ? null : { bolts: changed, pushed, by }
}
