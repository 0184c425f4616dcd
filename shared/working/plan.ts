import type { Misalignment } from '../../core/frame/planes'
import type { PlannedMove } from '../../core/plan/movePlan'
import type { UnitSystem } from '../../core/units/unitSystem'
import { figure, pack } from '../wording/figures'
import type { WorkingStep } from './step'

/** How the predicted result follows from the moves, and each pack from what lies there. */
export const planWorking = (
  found: Misalignment,
  predicted: Misalignment,
  moves: readonly PlannedMove[],
  units: UnitSystem,
): readonly WorkingStep[] => {
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  const l = (x: number) => figure(x, 'distance', units)
  const [a, b] = moves
  const steps: WorkingStep[] = []
  for (const m of moves)
    for (const side of ['left', 'right'] as const) {
      const p = m.packs[side]
      if (p.changes === 0) continue
      steps.push({
        name: `Pack, ${m.id} ${side}`,
        formula: 'take out, put in; thin shims between thick ones',
        substituted: `out ${pack(p.takeOut, units)}, in ${pack(p.putIn, units)}`,
        result: pack(p.shims, units),
      })
    }
  if (!a || !b) return steps
  for (const [plane, name] of [
    ['v', 'side view'],
    ['h', 'top view'],
  ] as const) {
    const ds = (b[plane] - a[plane]) / (b.x - a.x)
    steps.push(
      {
        name: `Angle after, ${name}`,
        formula: 'slope + (move outboard − move inboard) / (x outboard − x inboard)',
        substituted: `${s(found.slope[plane])} + (${d(b[plane])} − ${d(a[plane])}) / (${l(b.x)} − ${l(a.x)})${units === 'metric' ? ' × 100' : ''}`,
        result: s(predicted.slope[plane]),
      },
      {
        name: `Offset after, ${name}`,
        formula: 'offset + move inboard − (change of slope) × x inboard',
        substituted: `${d(found.offset[plane])} + ${d(a[plane])} − ${s(ds)} × ${l(a.x)}${units === 'metric' ? ' / 100' : ''}`,
        result: d(predicted.offset[plane]),
      },
    )
  }
  return steps
}
