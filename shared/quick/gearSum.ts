import type { PaintedZone, Percent } from '../../core/gear/contactFigures'
import type { Verdict } from '../../core/judge/judge'

/** What the sum of a gear contact answers, as far as its drawing needs it; zones from -1 to +1. */
export interface GearAnswered {
  readonly off: { readonly forward: number; readonly reverse: number }
  readonly together: number
  readonly apart: number
  readonly advice: readonly string[]
  readonly runs: Readonly<Record<'forward' | 'reverse', { readonly faults: readonly string[] }>>
}

/** An end of a zone as the sum has it, in percent of the face width; and back. */
export const percentOf = (end: number): Percent => Number((50 * (end + 1)).toFixed(2))
export const endOf = (p: Percent): number => Number((p / 50 - 1).toFixed(4))

/** A zone of the sum's form as it is drawn; null while it isn't whole. */
export const zoneOf = (ends: readonly (number | null)[]): PaintedZone | null => {
  const [a, b] = ends
  if (a == null || b == null || a === b || Math.abs(a) > 1 || Math.abs(b) > 1) return null
  return a < b ? [percentOf(a), percentOf(b)] : [percentOf(b), percentOf(a)]
}

/** What is said of each run and of both together, percent of the face width. */
export const gearFollows = (r: GearAnswered) => {
  const verdict = (bad: boolean): Verdict => (bad ? 'out' : 'in')
  const says = (advice: string) => r.advice.includes(advice)
  return {
    runs: {
      forward: verdict(r.runs.forward.faults.length > 0),
      back: verdict(r.runs.reverse.faults.length > 0),
    },
    off: { forward: 50 * r.off.forward, back: 50 * r.off.reverse },
    rows: [
      { figure: 'together' as const, value: 50 * r.together, verdict: verdict(says('shift-bearing-blocks')) },
      {
        figure: 'apart' as const,
        value: 50 * r.apart,
        verdict: verdict(says('shift-gear-along-shaft')),
      },
    ],
    shift: says('shift-bearing-blocks')
      ? { lever: 'blocks' as const, way: r.together < 0 ? ('to' as const) : ('from' as const) }
      : null,
  }
}
