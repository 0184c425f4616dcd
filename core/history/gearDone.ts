import { LEVERS, type Lever } from '../gear/levers'
import { NOTHING, onceEach } from './changes'
import type { LogEntry } from '../logbook/entry'
import { toCore, type Millimetres } from '../units/unitSystem'

/** What one job did at a gearset, and who did it. */
export interface GearDone {
  /** Toward the `to` end of a tooth positive. */
  readonly shifted: Readonly<Record<Lever, Millimetres>>
  /** Under each block, in positive. */
  readonly layers: readonly number[]
  /** Ids of those who wrote it, in order. */
  readonly by: readonly string[]
}

/** What was shifted along the tooth and laid under the blocks over a job, by the entries that stand; null where nothing was. */
export const gearDone = (entries: readonly LogEntry[]): GearDone | null => {
  const shifted = { blocks: 0, gear: 0 }
  let layers: readonly number[] = []
  let by: readonly string[] = []
  for (const e of entries) {
    if (e.kind === 'gear-shifted')
      shifted[e.payload.lever] += toCore(e.payload.by, 'displacement', e.payload.units)
    else if (e.kind === 'layers-changed') layers = e.payload.layers.map((n, i) => n + (layers[i] ?? 0))
    else continue
    by = onceEach(by, e.author)
  }
  const still = LEVERS.every((l) => Math.abs(shifted[l]) <= NOTHING) && layers.every((n) => n === 0)
  return still ? null : { shifted, layers, by }
}
