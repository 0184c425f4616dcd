import { roughInWords } from '../../wording/en'
import type { Plane } from '../../../core/frame/planes'
import { movableFeet } from '../../../core/register/footedMachine'
import type { CoupledMachine } from '../../../core/register/coupledMachine'
import type { RoughCure } from '../../../core/stages/roughIn/cure'
import { GAPS_CLOSE, type RoughReading } from '../../../core/stages/roughIn/roughIn'
import { toCore } from '../../../core/units/unitSystem'
import { hourName } from '../../wording/directions'
import { figure } from '../../wording/figures'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** Steps, openings, the sum of the gaps, and what each pair of feet is moved by. */
export const roughWorking = (
  machine: CoupledMachine,
  reading: RoughReading,
  cure: RoughCure | null,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = roughInWords(telling.words).working
  const payload = reading.round.felt?.payload
  if (!payload) return []
  const shown = (x: number) => figure(x, 'displacement', telling.units, { extra: 1 })
  const at = (list: typeof payload.steps, clock: number): number | null => {
    const p = list.find((x) => x.clock === clock)
    return p && 'value' in p ? toCore(p.value, 'displacement', payload.units) : null
  }
  /** Across from one another in the other plane: with three steps their mean is the radii's share. */
  const others = (plane: Plane) => ends[plane === 'v' ? 'h' : 'v']
  const ends = { v: [0, 180], h: [90, 270] } as const
  const steps: WorkingStep[] = []
  for (const plane of ['v', 'h'] as Plane[]) {
    const [near, far] = ends[plane]
    const [a, b] = [at(payload.steps, near), at(payload.steps, far)]
    const step = reading.steps[plane].value
    if (step !== null && a !== null)
      steps.push(
        b === null
          ? payload.steps.length > 2
            ? {
                name: w.step[plane],
                formula: w.stepMean(
                  hourName(near, telling),
                  hourName(others(plane)[0], telling),
                  hourName(others(plane)[1], telling),
                ),
                substituted: `${shown(a)} − (${others(plane)
                  .map((c) => shown(at(payload.steps, c) ?? 0))
                  .join(' + ')}) / 2`,
                result: shown(step),
              }
            : {
                name: w.step[plane],
                formula: w.stepOne(hourName(near, telling)),
                substituted: `${shown(a)} − ${shown(reading.radiusDifference)}`,
                result: shown(step),
              }
          : {
              name: w.step[plane],
              formula: w.stepTwo(hourName(near, telling), hourName(far, telling)),
              substituted: `(${shown(a)} − ${shown(b)}) / 2`,
              result: shown(step),
            },
      )
    const [g1, g2] = [at(payload.gaps, near), at(payload.gaps, far)]
    const opening = reading.openings[plane].value
    if (opening !== null && g1 !== null && g2 !== null)
      steps.push({
        name: w.opening[plane],
        formula: w.openingFormula[plane],
        substituted: `${shown(g2)} − ${shown(g1)}`,
        result: shown(opening),
      })
  }
  if (reading.closure !== null) {
    const g = (clock: number) => shown(at(payload.gaps, clock) ?? 0)
    steps.push({
      name: w.sum,
      formula: w.sumFormula,
      substituted: `(${g(0)} + ${g(180)}) − (${g(90)} + ${g(270)})`,
      result: shown(reading.closure),
      note: w.sumNote(figure(GAPS_CLOSE[machine.units], 'displacement', telling.units, { unit: true })),
    })
  }
  if (cure && cure.way !== 'all' && reading.diameter !== null) {
    const slope = reading.felt.coupling.slope[cure.plane] ?? 0
    const opening = reading.openings[cure.plane].value ?? 0
    const tape = (x: number) => figure(x, 'distance', telling.units)
    const angle = figure(slope, 'slope', telling.units, { extra: 1 })
    steps.push({
      name: w.slope[cure.plane],
      formula: w.slopeFormula,
      substituted: `${shown(opening)} / ${tape(reading.diameter)}`,
      result: figure(slope, 'slope', telling.units, { unit: true, extra: 1 }),
    })
    for (const f of movableFeet(machine)) {
      const share = cure.shares.find((s) => s.pair === f.id)
      if (share && cure.way === 'each')
        steps.push({
          name: capital(w.foot(telling.footNames(f.id))),
          formula: w.footFormula,
          substituted: `−(${shown(reading.steps[cure.plane].value ?? 0)} + ${angle} × ${tape(f.x)})`,
          result: shown(share.wanted),
        })
    }
  }
  if (reading.axial)
    steps.push({
      name: w.axial,
      formula: w.axialFormula,
      substituted: payload.gaps
        .map((p) => shown(at(payload.gaps, p.clock) ?? 0))
        .join(' + ')
        .replace(/^(.*)$/, `($1) / ${payload.gaps.length}`),
      result: shown(reading.axial.mean),
    })
  return steps
}
