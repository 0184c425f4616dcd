import type { Millimetres } from '../units/unitSystem'
import type { BlockedFoot } from './movePlan'

/** What would do in place of what can't be done: the other machine shifted whole, so that these feet need less. */
export interface Price {
  readonly plane: 'v' | 'h'
  readonly machine: BlockedFoot['machine']
  /** How far the other machine goes: up or toward 3 positive. */
  readonly shift: Millimetres
  /** The pair that is short of most. */
  readonly pair: string
  readonly reason: BlockedFoot['reason']
}

/**
 * The price of the feet that are short, one line a machine and plane: shifting the other machine whole by
 * `s` changes every move of this one by `s`, so that the shortest foot just makes it. Nothing where feet are
 * locked, or are short both ways. Millimetres.
 */
export const pricesOf = (blocked: readonly BlockedFoot[]): readonly Price[] => {
  const prices: Price[] = []
  for (const plane of ['v', 'h'] as const)
    for (const machine of ['movable', 'stationary'] as const) {
      const short = blocked
        .filter((b) => b.plane === plane && b.machine === machine)
        // A foot that should go 8 down and can go 2 is short of 6: the other machine 6 up does it.
        .map((b) => ({ ...b, lack: Math.abs(b.need) - Math.abs(b.room) }))
      if (short.length === 0 || short.some((b) => b.reason === 'locked')) continue
      if (new Set(short.map((b) => Math.sign(b.need))).size > 1) continue
      const worst = short.reduce((most, b) => (b.lack > most.lack ? b : most))
      if (worst.lack <= 1e-9) continue
      prices.push({
        plane,
        machine,
        shift: -Math.sign(worst.need) * worst.lack,
        pair: worst.id,
        reason: worst.reason,
      })
    }
  return prices
}
