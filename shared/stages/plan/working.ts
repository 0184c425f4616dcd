import type { Misalignment } from '../../../core/frame/planes'
import { SIDES, type PlannedMove } from '../../../core/plan/movePlan'
import { figure, pack } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How the predicted result follows from the moves, and each pack from what lies there. */
export const planWorking = (
  found: Misalignment,
  predicted: Misalignment,
  moves: readonly PlannedMove[],
  { words, units, footNames }: Telling,
): readonly WorkingStep[] => {
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  const l = (x: number) => figure(x, 'distance', units)
  const w = words.working.plan
  const steps: WorkingStep[] = []
  for (const m of moves)
    for (const side of SIDES) {
      const p = m.packs[side]
      if (p.changes === 0) continue
      steps.push({
        name: w.pack(footNames(m.id, m.machine), words.feet.sides[side]),
        formula: w.packing,
        substituted: w.outIn(pack(p.takeOut, units), pack(p.putIn, units)),
        result: pack(p.shims, units),
      })
    }
  const a = moves[0]
  const b = moves[moves.length - 1]
  if (!a || !b || a === b) return steps
  const [near, far] = [footNames(a.id, a.machine), footNames(b.id, b.machine)]
  const more = moves.length > 2 ? w.outerShown : undefined
  for (const plane of ['v', 'h'] as const) {
    const ds = (b[plane] - a[plane]) / (b.x - a.x)
    steps.push(
      {
        name: w.angleAfter(words.directions.planes[plane]),
        formula: w.angleFormula(near, far),
        substituted: `${s(found.slope[plane])} + (${d(b[plane])} − ${d(a[plane])}) / (${l(b.x)} − ${l(a.x)})${units === 'metric' ? ' × 100' : ''}`,
        result: s(predicted.slope[plane]),
        note: more,
      },
      {
        name: w.offsetAfter(words.directions.planes[plane]),
        formula: w.offsetFormula(near),
        substituted: `${d(found.offset[plane])} + ${d(a[plane])} − ${s(ds)} × ${l(a.x)}${units === 'metric' ? ' / 100' : ''}`,
        result: d(predicted.offset[plane]),
        note: more,
      },
    )
  }
  return steps
}
