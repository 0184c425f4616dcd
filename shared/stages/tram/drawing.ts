import type { DrumState } from '../../../core/jobs/drum'
import type { Misalignment, Plane } from '../../../core/frame/planes'
import { ALIGNED } from '../../../core/frame/planes'
import { termValue, type VerdictOrUnknown } from '../../../core/judge/judge'
import { judgedQuantities } from '../../../core/judge/quantities'
import type { Band } from '../../../core/judge/tolerance'
import { toCore, type Millimetres } from '../../../core/units/unitSystem'
import type { PlaneLine } from '../../drawing/tram'
import type { TramMove } from './plan'

/** One judged quantity on the scale of its window: millimetres, a slope as the opening over the face dial's circle. */
export interface TramScale {
  readonly kind: 'offset' | 'face'
  readonly plane: Plane
  readonly band: Band
  readonly now: Millimetres | null
  /** Where the move in hand leaves it; null in the plane that is not moved. */
  readonly after: Millimetres | null
  readonly verdict: VerdictOrUnknown
}

/** Circle that the face dial runs on; 0 before it is set up. */
export const faceCircle = ({ setUp }: Pick<DrumState, 'setUp'>): Millimetres => {
  const how = setUp?.how
  return how?.method === 'rim-face' ? how.given.faces[0].diameter : 0
}

/** Every judged quantity on its scale: height, side, and both openings of the face. */
export const tramScales = (
  state: Pick<DrumState, 'latest' | 'tolerance' | 'setUp'>,
  predicted: Misalignment | null,
  moved: Plane | null,
): readonly TramScale[] => {
  const circle = faceCircle(state)
  const { coupling, judgement } = state.latest
  return judgedQuantities(state.tolerance).flatMap((quantity) =>
    quantity.terms.map((term): TramScale => {
      const face = term.kind === 'slope'
      const shown = (x: number | null) => (x === null ? null : face ? x * circle : x)
      const value = (line: Misalignment | null) => (line ? shown(termValue(term, line, ALIGNED)) : null)
      return {
        kind: face ? 'face' : 'offset',
        plane: term.plane,
        band: [shown(term.band[0]), shown(term.band[1])],
        now: value(coupling),
        after: term.plane === moved ? value(predicted) : null,
        verdict: judgement?.quantities.find((q) => q.name === quantity.name)?.verdict ?? 'unknown',
      }
    }),
  )
}

/** One plane of a line, where both of it are known. */
export const planeOf = (line: Misalignment | null, plane: Plane): PlaneLine | null => {
  const [offset, slope] = [line?.offset[plane] ?? null, line?.slope[plane] ?? null]
  return offset === null || slope === null ? null : { offset, slope }
}

/** What a move does at each pair: up, or toward 3, positive. Millimetres. */
export const doneAt = (
  { units, changes, side }: TramMove,
  pairs: readonly { readonly id: string }[],
): readonly Millimetres[] => {
  const mm = (t: number) => toCore(t, 'displacement', units)
  const sum = (list: readonly number[]) => list.reduce((s, t) => s + mm(t), 0)
  return pairs.map(({ id }) => {
    const lifts = changes.filter((c) => c.pair === id && c.side === 'left')
    const pushes = side.filter((s) => s.pair === id)
    return lifts.reduce((s, c) => s + sum(c.putIn) - sum(c.takenOut), 0) + sum(pushes.map((p) => p.moved))
  })
}
