import { lineOfMoves } from '../../../core/coupling/feet'
import { ALIGNED, lineDifference, PLANES, type Misalignment } from '../../../core/frame/planes'
import type { TrainState } from '../../../core/jobs/train'
import { SIDES } from '../../../core/plan/pairNames'
import { turnToTrain, type Train } from '../../../core/train/train'
import type { TrainPlan } from '../../../core/train/trainPlan'
import { directionsWords, feetWords, trainWords, workingWords } from '../../wording/en'
import { figure, pack } from '../../wording/figures'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import { percentOfShare } from '../../wording/train'
import type { WorkingStep } from '../../working/step'

/** How every coupling follows from what was read there and from what the machines on both sides of it do. */
export const trainWorking = (
  state: TrainState,
  train: Train,
  plan: TrainPlan,
  telling: Telling,
): readonly WorkingStep[] => {
  const { words, units } = telling
  const w = trainWords(words).plan.working
  const p = workingWords(words).plan
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  const steps: WorkingStep[] = []
  for (const m of plan.moves) {
    const part = state.machines.find((x) => x.part.id === m.machine)?.part
    if (!part) continue
    const name = `${part.name}, ${telling.of(part.machine).footNames(m.id)}`
    for (const side of SIDES) {
      const changed = m.packs[side]
      if (changed.changes > 0)
        steps.push({
          name: p.pack(name, feetWords(words).sides[side]),
          formula: p.packing,
          substituted: p.outIn(pack(changed.takeOut, units), pack(changed.putIn, units)),
          result: pack(changed.shims, units),
        })
    }
  }
  const shiftOf = (machine: string, x: number): Misalignment => {
    const own = plan.moves.filter((m) => m.machine === machine)
    return own.length > 1 ? lineOfMoves(own.map((m) => ({ ...m, x: m.x - x }))) : ALIGNED
  }
  for (const c of train.couplings) {
    const after = plan.couplings.find((x) => x.id === c.id)
    const name = state.machine.couplings.find((x) => x.id === c.id)?.name ?? c.id
    if (!after) continue
    const now = turnToTrain(c.coupling, c.stationary)
    const ends = turnToTrain(after.predicted, c.stationary)
    const [before, behind] = [shiftOf(c.left, c.x), shiftOf(c.right, c.x)]
    const shift = lineDifference(behind, before)
    for (const plane of PLANES) {
      const where = `${name}, ${directionsWords(words).planes[plane]}`
      steps.push({
        name: capital(w.offsetOf(where)),
        formula: w.formula,
        substituted: `${d(now.offset[plane])} + (${d(behind.offset[plane])}) − (${d(before.offset[plane])})`,
        result: d(ends.offset[plane]),
        note: w.shareNote(percentOfShare(after.score[plane])),
      })
      if (Math.abs(shift.slope[plane] ?? 0) > 1e-12)
        steps.push({
          name: capital(w.angleOf(where)),
          formula: w.formula,
          substituted: `${s(now.slope[plane])} + (${s(behind.slope[plane])}) − (${s(before.slope[plane])})`,
          result: s(ends.slope[plane]),
        })
    }
  }
  return steps
}
