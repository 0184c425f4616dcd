import { directionsWords, feetWords, workingWords } from '../../wording/en'
import type { Misalignment } from '../../../core/frame/planes'
import { SIDES, type MachineRole } from '../../../core/plan/pairNames'
import type { PlannedMove } from '../../../core/plan/movePlan'
import { figure, pack } from '../../wording/figures'
import { pairName, type Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** The outer pairs of one machine in a plan, which carry its line; null where it has none to move. */
const shiftOf = (role: MachineRole, moves: readonly PlannedMove[]) => {
  const own = moves.filter((m) => m.machine === role)
  const [near, far] = [own[0], own[own.length - 1]]
  return near && far && near !== far ? { role, near, far, more: own.length > 2 } : null
}

/** How the predicted result follows from the moves, and each pack from what lies there. */
export const planWorking = (
  found: Misalignment,
  predicted: Misalignment,
  moves: readonly PlannedMove[],
  telling: Telling,
): readonly WorkingStep[] => {
  const { words, units, footNames } = telling
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  const l = (x: number) => figure(x, 'distance', units)
  const w = workingWords(words).plan
  const steps: WorkingStep[] = []
  for (const m of moves)
    for (const side of SIDES) {
      const p = m.packs[side]
      if (p.changes === 0) continue
      steps.push({
        name: w.pack(pairName(telling, m), feetWords(words).sides[side]),
        formula: w.packing,
        substituted: w.outIn(pack(p.takeOut, units), pack(p.putIn, units)),
        result: pack(p.shims, units),
      })
    }
  const hundred = units === 'metric'
  const driven = shiftOf('stationary', moves)
  const own = shiftOf('movable', moves)
  for (const plane of ['v', 'h'] as const) {
    const name = directionsWords(words).planes[plane]
    const shifts = [own, driven].flatMap((shift) => {
      if (!shift) return []
      const { near: a, far: b } = shift
      const ds = (b[plane] - a[plane]) / (b.x - a.x)
      return [
        {
          ...shift,
          slope: ds,
          offset: a[plane] - ds * a.x,
          slopeSum: `(${d(b[plane])} − ${d(a[plane])}) / (${l(b.x)} − ${l(a.x)})${hundred ? ' × 100' : ''}`,
          offsetSum: `${d(a[plane])} − ${s(ds)} × ${l(a.x)}${hundred ? ' / 100' : ''}`,
        },
      ]
    })
    // The driven machine's shift is worked out first, since the line is told against it.
    for (const shift of shifts.filter((x) => x.role === 'stationary'))
      steps.push(
        {
          name: w.drivenAngle(name),
          formula: w.ownAngle(footNames(shift.near.id, shift.role), footNames(shift.far.id, shift.role)),
          substituted: shift.slopeSum,
          result: s(shift.slope),
        },
        {
          name: w.drivenOffset(name),
          formula: w.ownOffset(footNames(shift.near.id, shift.role)),
          substituted: shift.offsetSum,
          result: d(shift.offset),
        },
      )
    const movable = shifts.find((x) => x.role === 'movable')
    const other = shifts.find((x) => x.role === 'stationary')
    if (!movable && !other) continue
    const names = movable && [footNames(movable.near.id, 'movable'), footNames(movable.far.id, 'movable')]
    const more = movable?.more || other?.more ? w.outerShown : undefined
    steps.push(
      {
        name: w.angleAfter(name),
        formula: w.angleFormula(names?.[0] ?? '', names?.[1] ?? '', other !== undefined),
        substituted: [
          s(found.slope[plane]),
          ...(movable ? [`+ ${movable.slopeSum}`] : []),
          ...(other ? [`− (${s(other.slope)})`] : []),
        ].join(' '),
        result: s(predicted.slope[plane]),
        note: more,
      },
      {
        name: w.offsetAfter(name),
        formula: w.offsetFormula(names?.[0] ?? '', other !== undefined),
        substituted: [
          d(found.offset[plane]),
          ...(movable ? [`+ ${movable.offsetSum}`] : []),
          ...(other ? [`− (${d(other.offset)})`] : []),
        ].join(' '),
        result: d(predicted.offset[plane]),
        note: more,
      },
    )
  }
  return steps
}
