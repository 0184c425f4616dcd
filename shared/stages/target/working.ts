import { directionsWords, targetsWords } from '../../wording/en'
import { PLANES, positionAt } from '../../../core/frame/planes'
import { EXPANSION } from '../../../core/growth/materials'
import type { MachineRole } from '../../../core/plan/pairNames'
import type { ColdTarget } from '../../../core/stages/target/target'
import { toCore } from '../../../core/units/unitSystem'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How each pair's rise follows from its heat, the line from the rises, and each foot's place from the line. */
export const targetWorking = (
  target: ColdTarget,
  feet: readonly { readonly id: string; readonly x: number }[],
  names: Readonly<Record<MachineRole, string>>,
  { words, units, footNames }: Telling,
): readonly WorkingStep[] => {
  const w = targetsWords(words).working
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  const l = (x: number) => figure(x, 'distance', units)
  const { payload, growth, line } = target
  const steps: WorkingStep[] = []
  if (payload?.given.way === 'growth')
    for (const { machine, feet: rising } of payload.given.machines)
      for (const f of rising) {
        const grown = growth?.machines.find((m) => m.role === machine)?.feet.find((g) => g.id === f.pair)
        const heat = (t: number) => String(Number(toCore(t, 'temperature', payload.units).toPrecision(4)))
        steps.push({
          name: w.rise(names[machine], footNames(f.pair, machine)),
          formula: f.heat ? w.riseFormula : w.typed,
          substituted: f.heat
            ? `${((f.heat.alpha ?? EXPANSION[f.heat.material ?? 'steel']) * 1e6).toFixed(1)} × 10⁻⁶ × ${l(toCore(f.heat.height, 'distance', payload.units))} × (${heat(f.heat.running)} − ${heat(f.heat.cold)})`
            : d(grown?.rise.v ?? null),
          result: d(grown?.rise.v ?? null),
        })
      }
  if (growth)
    for (const plane of PLANES) {
      const lineOf = (role: MachineRole) => {
        const ours = growth.lines[role]
        return ours?.[plane] ?? { offset: 0, slope: 0 }
      }
      const [driven, movable] = [lineOf('stationary'), lineOf('movable')]
      const name = directionsWords(words).planes[plane]
      steps.push(
        {
          name: w.offset(name),
          formula: w.offsetFormula,
          substituted: `${d(driven.offset)} − ${d(movable.offset)}`,
          result: d(line.offset[plane]),
        },
        {
          name: w.slope(name),
          formula: w.slopeFormula,
          substituted: `${s(driven.slope)} − ${s(movable.slope)}`,
          result: s(line.slope[plane]),
        },
      )
    }
  for (const { id, x } of feet)
    for (const plane of PLANES)
      steps.push({
        name: w.at(footNames(id), directionsWords(words).planes[plane]),
        formula: w.atFormula,
        substituted: `${d(line.offset[plane])} + ${s(line.slope[plane])} × ${l(x)}${units === 'metric' ? ' / 100' : ''}`,
        result: d(positionAt(line, x)[plane]),
      })
  return steps
}
